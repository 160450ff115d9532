declare global {
  interface Window {
    /** Kept by `early.js`, from before the application was there. */
    early?: { acted: Element | null; keys: string[] } | null
  }
}

type Way = readonly number[]

/** Where an element stands: the place of each step among its siblings. */
function wayTo(element: Element, root: Element): Way | null {
  const way: number[] = []
  for (let each = element; each !== root;) {
    const parent = each.parentElement
    if (!parent) return null
    way.unshift([...parent.children].indexOf(each))
    each = parent
  }
  return way
}

const isField = (element: Element): element is HTMLInputElement => element instanceof HTMLInputElement

/**
 * What somebody did on the screen that the server drew, before the application put the same in its place: where they were,
 * what they typed, what they clicked or sent last, and which keys they pressed.
 *
 * @param root where the application is put
 * @returns does it on the application; an element that is not the same any more is left alone
 */
export function carriedOver(root: Element): () => void {
  const kept = (element: Element | null | undefined) => {
    const way = element && root.contains(element) && element !== root ? wayTo(element, root) : null
    return way && element ? { way, name: element.tagName, text: element.textContent } : null
  }
  const typed = [...root.querySelectorAll('input')].filter(({ type, value }) => type !== 'checkbox' && value)
  const fields = typed.map((field) => ({ at: kept(field), value: field.value }))
  const focused = kept(document.activeElement)
  const acted = kept(window.early?.acted)
  const keys = window.early?.keys ?? []
  const scrolled = [...root.querySelectorAll('*')]
    .filter(({ scrollTop }) => scrollTop > 0)
    .map((element) => ({ at: kept(element), top: element.scrollTop }))

  const now = (at: ReturnType<typeof kept>, { alike = true } = {}): Element | null => {
    const found = at?.way.reduce<Element | undefined>((element, step) => element?.children[step], root)
    return found && found.tagName === at?.name && (!alike || found.textContent === at.text) ? found : null
  }
  return () => {
    window.early = null
    for (const { at, value } of fields) {
      const field = now(at)
      if (!field || !isField(field)) continue
      field.value = value
      field.dispatchEvent(new Event('input', { bubbles: true }))
    }
    for (const { at, top } of scrolled) now(at, { alike: false })?.scrollTo({ top })
    const focus = now(focused)
    if (focus instanceof HTMLElement) focus.focus()
    const act = now(acted)
    if (act instanceof HTMLFormElement) act.requestSubmit()
    else if (act instanceof HTMLElement) act.click()
    for (const key of keys)
      (document.activeElement ?? document.body).dispatchEvent(
        new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }),
      )
  }
}
