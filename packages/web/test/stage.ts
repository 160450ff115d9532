import type { VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach } from 'vitest'

// What lives longer than a component and is of no matter to most tests.
class NoEvents {
  close(): void {}
}
/** A size for charts and lists, which the DOM here does not know. */
class SomeSize {
  constructor(private readonly tell: (entries: unknown[]) => void) {}
  observe(target: Element): void {
    const box = [{ inlineSize: 900, blockSize: 600 }]
    this.tell([{ target, contentRect: { width: 900, height: 600 }, borderBoxSize: box, contentBoxSize: box }])
  }
  unobserve(): void {}
  disconnect(): void {}
}
class NoSizes {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}

const mounted: VueWrapper[] = []

/** An empty document before each test; what was kept is unmounted after it. */
export function useStage({ sizes = false, events = NoEvents }: { sizes?: boolean; events?: unknown } = {}) {
  beforeEach(() => {
    Object.assign(globalThis, { EventSource: events, ResizeObserver: sizes ? SomeSize : NoSizes })
    document.body.innerHTML = ''
    localStorage.clear()
  })
  afterEach(clear)
}
export const clear = (): void => mounted.splice(0).forEach((html) => html.unmount())

export function keep<T>(html: T): T {
  mounted.push(html as VueWrapper)
  return html
}

/** The button of a text, under a component or, in sheets, anywhere in the document. */
export const button = (html: { findAll: VueWrapper['findAll'] }, text: string | RegExp) =>
  html.findAll('button').find((b) => (typeof text === 'string' ? b.text() === text : text.test(b.text())))!

const inDocument = (text: string): HTMLButtonElement =>
  [...document.querySelectorAll('button')].find(
    (b) => b.textContent?.trim() === text || b.getAttribute('aria-label') === text,
  )!

export const isOffered = (text: string): boolean => {
  const found = inDocument(text)
  return Boolean(found) && !found.disabled
}
export async function press(text: string): Promise<void> {
  const found = inDocument(text)
  if (!found) throw new Error(`no button "${text}"`)
  found.click()
  await settled()
}
export async function write(field: Element | null, text: string): Promise<void> {
  const input = field as HTMLInputElement
  input.value = text
  input.dispatchEvent(new Event('input', { bubbles: true }))
  input.dispatchEvent(new Event('change', { bubbles: true }))
  await settled()
}
/** Answers that wait are given, and what follows from them is drawn. */
export const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve))
