import { flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { defineComponent, h, ref } from 'vue'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { problemOf, routes, type LiveEvent } from '@murrabel/contract'
import { useAsked } from '../src/composables/useAsked.ts'
import { useEntryList } from '../src/composables/useEntryList.ts'
import { useFocusReturn } from '../src/composables/useFocusReturn.ts'
import { useSheetDraft } from '../src/composables/useSheetDraft.ts'
import { useShortcuts } from '../src/composables/useShortcuts.ts'
import { gathered, useLive } from '../src/composables/useLive.ts'
import { clear, keep, useStage } from './stage.ts'
import { fakeServer, row } from './support.ts'

/** The stream of live events, in the hands of the test. */
class Events {
  static readonly CLOSED = 2
  static all: Events[] = []
  readyState = 1
  closed = false
  onmessage: ((event: { data: string }) => void) | null = null
  onopen: (() => void) | null = null
  onerror: (() => void) | null = null
  constructor(readonly address: string) {
    Events.all.push(this)
  }
  close(): void {
    this.closed = true
  }
}
useStage({ events: Events })
afterEach(() => {
  vi.useRealTimers()
  Events.all = []
})

/** Runs a composable inside a component, which it needs. */
function inside<T>(use: () => T): T {
  let value!: T
  const Inside = defineComponent(() => {
    value = use()
    return () => h('i')
  })
  keep(mount(Inside, { attachTo: document.body }))
  return value
}
type Pairs = [string, string][]

/** Answers that come when the test says so. */
function slowServer() {
  const waiting: {
    path: string
    answer(body: unknown, status?: number): Promise<void>
    aborted(): boolean
  }[] = []
  globalThis.fetch = ((path: string, { signal }: RequestInit = {}) =>
    new Promise((resolve, reject) => {
      signal?.addEventListener('abort', () => reject(new DOMException('aborted', 'AbortError')))
      waiting.push({
        path,
        aborted: () => Boolean(signal?.aborted),
        async answer(body, status = 200) {
          resolve(
            new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } }),
          )
          await flushPromises()
        },
      })
    })) as typeof fetch
  return waiting
}

describe('an answer that follows a question', () => {
  test('stays until the next one is there; a late one never overwrites it', async () => {
    const waiting = slowServer()
    const question = ref<Pairs | null>([['watch', '1']])
    const asked = inside(() => useAsked(routes.voices, question))
    await waiting[0]!.answer({ voices: [], total: 1 })
    question.value = [['watch', '2']]
    await flushPromises()
    expect([asked.answer.value?.total, asked.loading.value]).toEqual([1, true])
    question.value = [['watch', '3']]
    await flushPromises()
    expect(waiting[1]!.aborted()).toBe(true)
    await waiting[2]!.answer({ voices: [], total: 3 })
    await waiting[1]!.answer({ voices: [], total: 2 })
    expect([asked.answer.value?.total, asked.loading.value]).toEqual([3, false])
  })
  test('the same question in a new list is not asked again', async () => {
    const { calls } = fakeServer({ 'GET /api/voices': { voices: [], total: 0 } })
    const question = ref<Pairs | null>([['watch', '1']])
    inside(() => useAsked(routes.voices, question))
    question.value = [['watch', '1']]
    await flushPromises()
    expect(calls).toHaveLength(1)
  })
  test('no question has no answer and waits for none', async () => {
    const waiting = slowServer()
    const question = ref<Pairs | null>([['watch', '1']])
    const asked = inside(() => useAsked(routes.voices, question))
    question.value = null
    await flushPromises()
    expect([asked.answer.value, asked.loading.value, asked.problem.value]).toEqual([null, false, null])
    await waiting[0]!.answer({ voices: [], total: 1 })
    expect(asked.answer.value).toBeNull()
  })
  test('a refusal takes the place of the answer, and goes with the next', async () => {
    let fails = true
    fakeServer({
      'GET /api/voices': () =>
        fails ? { status: 422, body: problemOf('lensUnknown') } : { body: { voices: [], total: 4 } },
    })
    const asked = inside(() => useAsked(routes.voices, ref<Pairs | null>([])))
    await flushPromises()
    expect([asked.answer.value, asked.problem.value?.problem.code]).toEqual([null, 'lensUnknown'])
    fails = false
    await asked.load()
    expect([asked.answer.value?.total, asked.problem.value]).toEqual([4, null])
  })
})

describe('the rows of a lens', () => {
  const page = (from: number, next: string | null) => ({
    rows: [row({ id: from }), row({ id: from + 1 })],
    next,
  })
  test('come page by page, once each, and say when there are no more', async () => {
    const pages = [page(1, 'a'), page(3, null)]
    const { calls } = fakeServer({
      'GET /api/entries/count': { count: 4, pastDue: 0 },
      'GET /api/entries': () => ({ body: pages.shift() }),
    })
    const list = inside(() => useEntryList(ref<Pairs>([['watch', '4']])))
    await list.load()
    expect([list.rows.value.map((r) => r.id), list.hasMore()]).toEqual([[1, 2], true])
    await list.more()
    expect([list.rows.value.map((r) => r.id), list.hasMore()]).toEqual([[1, 2, 3, 4], false])
    await list.more()
    const asked = calls.filter((c) => c.path.startsWith('/api/entries?'))
    expect(asked.map((c) => new URLSearchParams(c.path.split('?')[1]).get('after'))).toEqual([null, 'a'])
    expect(list.count.value?.count).toBe(4)
  })
  test('of an older lens never come after those of a newer one', async () => {
    const waiting = slowServer()
    const query = ref<Pairs>([['watch', '1']])
    const list = inside(() => useEntryList(query))
    void list.load()
    query.value = [['watch', '2']]
    await flushPromises()
    const second = waiting.find((w) => w.path.includes('/api/entries?watch=2'))!
    await second.answer(page(20, null))
    expect(list.rows.value.map((r) => r.id)).toEqual([20, 21])
    expect(waiting.find((w) => w.path.includes('/api/entries?watch=1'))!.aborted()).toBe(true)
  })
  test('looked at again keep what is on screen until the answer is there', async () => {
    const waiting = slowServer()
    const list = inside(() => useEntryList(ref<Pairs>([['watch', '1']])))
    const first = list.load()
    for (const each of waiting) await each.answer(each.path.includes('count') ? { count: 2 } : page(1, null))
    await first
    void list.refresh()
    expect(list.rows.value.map((r) => r.id)).toEqual([1, 2])
    await waiting.at(-1)!.answer(page(5, null))
    expect(list.rows.value.map((r) => r.id)).toEqual([5, 6])
  })
  test('of which one changed is another list, so that what is shown follows', () => {
    const list = inside(() => useEntryList(ref<Pairs>([])))
    list.rows.value = [row({ id: 1 }), row({ id: 2 })]
    const before = list.rows.value
    list.change(2, { sentiment: 'positive' })
    expect(list.rows.value).not.toBe(before)
    expect(list.rows.value.map((r) => r.sentiment)).toEqual(['negative', 'positive'])
  })
  test('folded are asked for folded', async () => {
    const { calls } = fakeServer({ 'GET /api/entries': page(1, null) })
    const fold = ref(false)
    const list = inside(() => useEntryList(ref<Pairs>([]), { fold }))
    await list.load()
    fold.value = true
    await flushPromises()
    const asked = calls
      .filter((c) => c.path.startsWith('/api/entries?'))
      .map((c) => c.path.includes('fold=1'))
    expect(asked).toEqual([false, true])
  })
})

describe('live events', () => {
  const listen = () => {
    const heard: LiveEvent['kind'][] = []
    inside(() => useLive(({ kind }) => heard.push(kind)))
    return heard
  }
  test('reach all who listen over one connection, which ends with the last of them', () => {
    const [one, two] = [listen(), listen()]
    expect(Events.all).toHaveLength(1)
    Events.all[0]!.onmessage!({ data: JSON.stringify({ kind: 'watches' }) })
    expect([one, two]).toEqual([['watches'], ['watches']])
    expect(Events.all[0]!.closed).toBe(false)
    clear()
    expect(Events.all[0]!.closed).toBe(true)
  })
  test('after a loss everybody looks again, after the first connection nobody', () => {
    const heard = listen()
    const [stream] = Events.all
    stream!.onopen!()
    expect(heard).toEqual([])
    stream!.onerror!()
    stream!.onopen!()
    expect(heard).toEqual([
      'entries',
      'profiles',
      'people',
      'followUps',
      'lenses',
      'patterns',
      'brand',
      'hooks',
      'watches',
      'teaching',
      'alerts',
    ])
    stream!.onopen!()
    expect(heard).toHaveLength(11)
  })
  test('what changed while the page was loading is asked for; after a slow opening everybody looks again', () => {
    const clock = vi.spyOn(performance, 'now').mockReturnValue(700)
    const heard = listen()
    const [stream] = Events.all
    expect(stream!.address).toBe('/api/live?missed=2700')
    clock.mockReturnValue(1500)
    stream!.onopen!()
    expect(heard).toEqual([])
    clear()
    clock.mockReturnValue(600_000)
    const later = listen()
    expect(Events.all[1]!.address).toBe('/api/live?missed=15000')
    clock.mockReturnValue(602_500)
    Events.all[1]!.onopen!()
    expect(later).toContain('watches')
    clock.mockRestore()
  })
  test('what was told shortly before a page is drawn is told to it as well', () => {
    const clock = vi.spyOn(performance, 'now').mockReturnValue(1_000)
    const band = listen()
    Events.all[0]!.onmessage!({ data: JSON.stringify({ kind: 'alerts' }) })
    clock.mockReturnValue(7_000)
    Events.all[0]!.onmessage!({ data: JSON.stringify({ kind: 'thread', threads: [1] }) })
    clock.mockReturnValue(7_400)
    const page = listen()
    expect(page).toEqual(['thread'])
    expect(band).toEqual(['alerts', 'thread'])
    clock.mockRestore()
  })
  test('a connection that was refused is tried again, while anybody listens', () => {
    vi.useFakeTimers()
    listen()
    const refuse = () => {
      Events.all.at(-1)!.readyState = Events.CLOSED
      Events.all.at(-1)!.onerror!()
    }
    refuse()
    vi.advanceTimersByTime(3000)
    expect(Events.all).toHaveLength(2)
    refuse()
    clear()
    vi.advanceTimersByTime(3000)
    expect(Events.all).toHaveLength(2)
  })
  test('many notices in a short time are one look', () => {
    vi.useFakeTimers()
    const look = vi.fn()
    const notice = gathered(look, 100)
    for (let i = 0; i < 5; i++) {
      notice()
      vi.advanceTimersByTime(60)
    }
    expect(look).not.toHaveBeenCalled()
    vi.advanceTimersByTime(100)
    expect(look).toHaveBeenCalledTimes(1)
  })
  test('while an answer is under way nothing is asked again, and once more when it is there', async () => {
    vi.useFakeTimers()
    let answer = () => {}
    const look = vi.fn(() => new Promise<void>((resolve) => (answer = resolve)))
    const notice = gathered(look, 100)
    for (let i = 0; i < 40; i++) {
      notice()
      await vi.advanceTimersByTimeAsync(60)
    }
    expect(look).toHaveBeenCalledTimes(1)
    answer()
    await vi.advanceTimersByTimeAsync(500)
    expect(look).toHaveBeenCalledTimes(2)
    answer()
    await vi.advanceTimersByTimeAsync(500)
    expect(look).toHaveBeenCalledTimes(2)
  })
  test('notices that never pause are looked at too', () => {
    vi.useFakeTimers()
    const look = vi.fn()
    const notice = gathered(look, 100)
    for (let i = 0; i < 20; i++) {
      notice()
      vi.advanceTimersByTime(60)
    }
    expect(look.mock.calls.length).toBeGreaterThanOrEqual(2)
  })
})

describe('a list of which some threads were changed', () => {
  const rows = [1, 2, 3].map((id) => row({ id, threadId: id, pressingAt: `2026-11-26T0${id}:00:00Z` }))
  const list = async (pairs: Pairs, touched: ReturnType<typeof row>[]) => {
    const { calls } = fakeServer({
      'GET /api/entries/count': { count: 3, pastDue: 0 },
      'GET /api/entries': (_body: unknown, path: string) => ({
        status: 200,
        body: { rows: path.includes('threads=') ? touched : rows, next: null },
      }),
    })
    const found = inside(() => useEntryList(ref(pairs)))
    await found.load()
    return {
      ...found,
      asked: () => calls.map(({ path }) => path).filter((path) => path.includes('threads=')),
    }
  }
  test('asks for their rows alone, and puts them in their places', async () => {
    const moved = { ...rows[0]!, pressingAt: '2026-11-26T09:00:00Z' }
    const found = await list([['order', 'pressing']], [moved])
    await found.touch([1, 2])
    expect(found.asked()[0]).toContain('threads=1%2C2')
    expect(found.rows.value.map(({ id }) => id)).toEqual([3, 1])
  })
  test('waits for the answer that was asked for before, which is older', async () => {
    const waiting = slowServer()
    const found = inside(() => useEntryList(ref<Pairs>([['order', 'pressing']])))
    const asked = () => waiting.filter(({ path }) => path.startsWith('/api/entries?'))
    void found.load()
    const touching = found.touch([9])
    await flushPromises()
    expect(asked()).toHaveLength(1)
    await asked()[0]!.answer({ rows, next: null })
    const late = row({ id: 9, threadId: 9, pressingAt: '2026-11-26T00:00:00Z' })
    await asked()[1]!.answer({ rows: [late], next: null })
    await touching
    expect(found.rows.value.map(({ id }) => id)).toEqual([9, 1, 2, 3])
  })
  test('folded, asks for the rows of the threads and of the stories they stand for', async () => {
    const folded = [{ ...rows[0]!, storyId: 7 }, rows[1]!]
    const { calls } = fakeServer({
      'GET /api/entries/count': { count: 3, pastDue: 0 },
      'GET /api/entries': (_body: unknown, path: string) => ({
        status: 200,
        body: { rows: path.includes('threads=') ? [] : folded, next: null },
      }),
    })
    const found = inside(() => useEntryList(ref<Pairs>([['order', 'newest']]), { fold: ref(true) }))
    await found.load()
    await found.touch([1, 8])
    const asked = new URLSearchParams(calls.at(-1)!.path.split('?')[1])
    expect([asked.get('threads'), asked.get('stories'), asked.get('fold')]).toEqual(['1,8', '7', '1'])
    expect(found.rows.value.map(({ id }) => id)).toEqual([2])
  })
  test('is asked for anew where rows are ranked against each other', async () => {
    const found = await list([['order', 'distinctive']], [])
    await found.touch([1])
    expect(found.asked()).toEqual([])
    expect(found.rows.value).toHaveLength(3)
  })
})

describe('keys', () => {
  beforeEach(() => setActivePinia(createPinia()))
  const press = (target: EventTarget, init: KeyboardEventInit) => {
    const event = new KeyboardEvent('keydown', { bubbles: true, cancelable: true, ...init })
    target.dispatchEvent(event)
    return event
  }
  test('act, and only those that have a meaning keep the browser from its own', () => {
    const done: string[] = []
    inside(() => useShortcuts({ finish: () => done.push('f') }))
    expect(press(window, { key: 'f' }).defaultPrevented).toBe(true)
    expect(press(window, { key: 'q' }).defaultPrevented).toBe(false)
    expect(done).toEqual(['f'])
  })
  test('are letters where somebody writes, and belong to the browser with Ctrl, Alt or Command', () => {
    const act = vi.fn()
    inside(() => useShortcuts({ finish: act }))
    const field = document.createElement('textarea')
    document.body.append(field)
    press(field, { key: 'f' })
    for (const modifier of ['ctrlKey', 'altKey', 'metaKey'] as const)
      press(window, { key: 'f', [modifier]: true })
    expect(act).not.toHaveBeenCalled()
  })
  test('sleep under a sheet, and end with the page they belong to', () => {
    const act = vi.fn()
    inside(() => useShortcuts({ finish: act }))
    const sheet = document.createElement('div')
    sheet.className = 'el-overlay'
    document.body.append(sheet)
    press(window, { key: 'f' })
    expect(act).not.toHaveBeenCalled()
    sheet.remove()
    clear()
    press(window, { key: 'f' })
    expect(act).not.toHaveBeenCalled()
  })
})

describe('a field one goes to by key', () => {
  test('leads back to where one was', () => {
    const [row, field] = [document.createElement('button'), document.createElement('textarea')]
    document.body.append(row, field)
    row.focus()
    const focus = useFocusReturn()
    focus.go(field)
    expect(document.activeElement).toBe(field)
    focus.back()
    expect(document.activeElement).toBe(row)
  })
  test('leads nowhere when that is gone', () => {
    const [row, field] = [document.createElement('button'), document.createElement('textarea')]
    document.body.append(row, field)
    row.focus()
    const focus = useFocusReturn()
    focus.go(field)
    row.remove()
    focus.back()
    expect(document.activeElement).toBe(document.body)
  })
})

describe('what is typed into a sheet', () => {
  beforeEach(() => sessionStorage.clear())
  const sheet = (key = 'watch.new') => {
    const shown = ref(false)
    const draft = ref({ name: '' })
    inside(() =>
      useSheetDraft({
        shown,
        key: () => key,
        draft: () => draft.value,
        put: (kept) => (draft.value = kept),
      }),
    )
    const open = async () => {
      shown.value = true
      await flushPromises()
    }
    return { shown, draft, open }
  }
  test('is there again when the page was loaded afresh', async () => {
    const first = sheet()
    await first.open()
    first.draft.value.name = 'Storm'
    await flushPromises()
    const second = sheet()
    await second.open()
    expect(second.draft.value.name).toBe('Storm')
  })
  test('is for the thing it was typed for, in the edition it had', async () => {
    const first = sheet('watch.4.1')
    await first.open()
    first.draft.value.name = 'Storm'
    await flushPromises()
    const second = sheet('watch.4.2')
    await second.open()
    expect(second.draft.value.name).toBe('')
  })
  test('is given up with the sheet, and nothing is kept of what was not changed', async () => {
    const first = sheet()
    await first.open()
    first.draft.value.name = 'Storm'
    await flushPromises()
    first.shown.value = false
    await flushPromises()
    const second = sheet()
    await second.open()
    expect(second.draft.value.name).toBe('')
    expect(sessionStorage.length).toBe(0)
  })
})
