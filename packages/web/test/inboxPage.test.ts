import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import { problemOf, type ThreadChangeAnswer } from '@murrabel/contract'
import { RouterView } from 'vue-router'
import InboxPage from '../src/sections/inbox/InboxPage.vue'
import { useUndo } from '../src/stores/undo.ts'
import { entry, fakeServer, mounting, row, thread } from './support.ts'

const noVisits = { visit: null, proposals: [] }

// The stream of live events, in the hands of the test.
class Events {
  static last: Events | null = null
  onmessage: ((event: { data: string }) => void) | null = null
  constructor() {
    Events.last = this
  }
  close(): void {}
  tell(event: object): void {
    this.onmessage?.({ data: JSON.stringify(event) })
  }
}
class NoSizes {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}

const tide = {
  unit: 'day',
  usual: null,
  buckets: [{ at: '2026-11-24T00:00:00Z', positive: 1, neutral: 0, negative: 2, unread: 0 }],
}
const changed = (
  id: number,
  state: 'open' | 'done' | 'aside' | 'waiting',
  eventId: number | null = 70,
): ThreadChangeAnswer => ({
  thread: {
    id,
    state,
    edition: 4,
    setAsideUntil: null,
    givenTo: null,
    teamId: null,
    priority: 0,
    spam: false,
  },
  eventId,
})
const rows = () => [
  row({ id: 1, threadId: 9 }),
  row({ id: 2, threadId: 10, author: 'Hester Quill' }),
  row({ id: 3, threadId: 11, author: 'Bastian Feld' }),
]

let page: VueWrapper | null = null
beforeEach(() => {
  Object.assign(globalThis, { EventSource: Events, ResizeObserver: NoSizes })
  localStorage.clear()
  document.body.innerHTML = ''
})
afterEach(() => {
  page?.unmount()
  page = null
})

async function inbox(
  answers: Parameters<typeof fakeServer>[0] = {},
  { path = '/inbox/9', role }: { path?: string; role?: 'reader' } = {},
) {
  const server = fakeServer({
    ...answers,
    'GET /api/entries/count': { count: 3, pastDue: 1 },
    'GET /api/entries': { rows: rows(), next: null },
    'GET /api/tide': tide,
    'GET /api/threads/9/visits': noVisits,
    'GET /api/threads/10/visits': noVisits,
    'GET /api/threads/11/visits': noVisits,
    'GET /api/threads/9': thread({ id: 9 }),
    'GET /api/threads/10': thread({ id: 10, entries: [entry({ id: 5, author: 'Hester Quill' })] }),
    'GET /api/threads/11': thread({ id: 11 }),
  })
  const around = await mounting({ path, role })
  // The real routes give the thread's number as a parameter.
  around.router.addRoute({ path: '/inbox/:thread(\\d+)?', component: InboxPage })
  await around.router.replace(path)
  page = mount(RouterView, { ...around, attachTo: document.body }) as unknown as VueWrapper
  await flushPromises()
  const press = async (key: string) => {
    window.dispatchEvent(new KeyboardEvent('keydown', { key, cancelable: true }))
    await flushPromises()
  }
  return {
    html: page,
    press,
    router: around.router,
    at: () => around.router.currentRoute.value.fullPath,
    ...server,
  }
}
const sent = (calls: { method: string; path: string; body: unknown }[], method: string, path: string) =>
  calls.filter((c) => c.method === method && c.path === path)

describe('the keys of the daily work', () => {
  test('j and k go on and back, and stop at the ends', async () => {
    const { press, at } = await inbox()
    await press('k')
    expect(at()).toBe('/inbox/9')
    await press('j')
    expect(at()).toBe('/inbox/10')
    await press('ArrowDown')
    await press('j')
    expect(at()).toBe('/inbox/11')
    await press('ArrowUp')
    expect(at()).toBe('/inbox/10')
  })

  test('f finishes and lands on the next; undo brings the thread back', async () => {
    const { press, at, calls } = await inbox({
      'POST /api/threads/9/events/70/undo': changed(9, 'open'),
      'POST /api/threads/9/events': changed(9, 'done'),
    })
    await press('f')
    expect(sent(calls, 'POST', '/api/threads/9/events')[0]?.body).toEqual({ kind: 'finish' })
    expect(at()).toBe('/inbox/10')
    const undo = useUndo()
    expect(undo.notice?.text).toBe('Finished')
    await undo.undo()
    await flushPromises()
    expect(sent(calls, 'POST', '/api/threads/9/events/70/undo')).toHaveLength(1)
    expect(at()).toBe('/inbox/9')
  })

  test('what cannot be undone any more is told in words', async () => {
    const { press } = await inbox({
      'POST /api/threads/9/events/70/undo': () => ({ status: 409, body: problemOf('undoTooLate') }),
      'POST /api/threads/9/events': changed(9, 'done'),
    })
    await press('f')
    await useUndo().undo()
    await flushPromises()
    expect(useUndo().notice).toMatchObject({
      problem: true,
      text: expect.stringContaining('can no longer be undone'),
    })
  })

  test.each([
    ['-', 'negative'],
    ['0', 'neutral'],
    ['+', 'positive'],
  ])('%s judges %s, and undo gives the entry back to the machine', async (key, label) => {
    const { press, calls } = await inbox({ 'PUT /api/entries/1/sentiment': { sentiment: label } })
    await press(key)
    expect(sent(calls, 'PUT', '/api/entries/1/sentiment')[0]?.body).toEqual({ sentiment: label })
    await useUndo().undo()
    await flushPromises()
    expect(sent(calls, 'PUT', '/api/entries/1/sentiment')[1]?.body).toEqual({ sentiment: null })
  })

  test('w goes to the answer; while one types, keys are letters', async () => {
    const { press, calls, html } = await inbox()
    await press('w')
    const area = html.find('textarea').element
    expect(document.activeElement).toBe(area)
    area.dispatchEvent(new KeyboardEvent('keydown', { key: 'f', bubbles: true, cancelable: true }))
    await flushPromises()
    expect(calls.filter((c) => c.method !== 'GET')).toHaveLength(0)
  })

  test('a reader’s keys change nothing', async () => {
    const { press, calls, html } = await inbox({}, { role: 'reader' })
    for (const key of ['f', '-', '+', 's', 'g']) await press(key)
    expect(calls.filter((c) => c.method !== 'GET')).toHaveLength(0)
    expect(html.find('textarea').exists()).toBe(false)
  })
})

describe('what comes in by itself', () => {
  test('an entry in the open thread is shown there', async () => {
    const { calls } = await inbox()
    const before = sent(calls, 'GET', '/api/threads/9').length
    Events.last!.tell({ kind: 'thread', threads: [9] })
    await flushPromises()
    expect(sent(calls, 'GET', '/api/threads/9').length).toBe(before + 1)
    Events.last!.tell({ kind: 'thread', threads: [77] })
    await flushPromises()
    expect(sent(calls, 'GET', '/api/threads/9').length).toBe(before + 1)
  })

  test('under "newest first" a reader in the middle of the list is not moved: the new ones are counted', async () => {
    const { html, press } = await inbox({}, { path: '/inbox/10?order=newest' })
    Events.last!.tell({ kind: 'entries', threads: [50], count: 2 })
    await flushPromises()
    expect(html.find('.fresh').text()).toBe('Show 2 new entries')
    await html.find('.fresh').trigger('click')
    await flushPromises()
    expect(html.find('.fresh').exists()).toBe(false)
    await press('k')
  })
})

describe('which thread is open', () => {
  test('one that leaves the list stays open under one’s hands; another lens opens its first', async () => {
    let list = rows()
    const { router, calls } = await inbox({
      'GET /api/entries?': () => ({ status: 200, body: { rows: list, next: null } }),
    })
    list = list.slice(1)
    const lists = () => calls.filter(({ path }) => path.startsWith('/api/entries?')).length
    const asked = lists()
    Events.last!.tell({ kind: 'thread', threads: [9] })
    await vi.waitFor(() => expect(lists()).toBeGreaterThan(asked))
    await flushPromises()
    expect(router.currentRoute.value.path).toBe('/inbox/9')
    await router.push('/inbox/9?words=boat')
    await vi.waitFor(() => expect(router.currentRoute.value.path).toBe('/inbox/10'))
    expect(router.currentRoute.value.query).toEqual({ words: 'boat' })
  })
  test('what was searched for is marked in the thread', async () => {
    const { html } = await inbox({}, { path: '/inbox/9?words=minute' })
    expect(html.find('article mark').text()).toBe('minutes')
  })
})

describe('places that are empty or wrong', () => {
  test('an empty list says why', async () => {
    fakeServer({
      'GET /api/entries/count': { count: 0, pastDue: 0 },
      'GET /api/entries': { rows: [], next: null },
      'GET /api/tide': tide,
    })
    const around = await mounting({ path: '/inbox' })
    around.router.addRoute({ path: '/inbox', component: InboxPage })
    await around.router.replace('/inbox')
    page = mount(RouterView, { ...around, attachTo: document.body }) as unknown as VueWrapper
    await flushPromises()
    expect(page.text()).toContain('Everything that came in has been handled.')
  })
  test('a server that fails is told with the number to name, and can be asked again', async () => {
    const { html } = await inbox({
      'GET /api/entries?': () => ({ status: 500, body: problemOf('broken', { instance: 'urn:uuid:42' }) }),
    })
    expect(html.find('.list [role="alert"]').text()).toContain('urn:uuid:42')
    expect(html.find('.list [role="alert"] button').text()).toBe('Try again')
  })
  test('an address that is not understood names the part', async () => {
    const { html } = await inbox({}, { path: '/inbox/9?sentiment=angry' })
    expect(html.find('.list [role="alert"]').text()).toContain('sentiment=angry')
  })
})
