import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import { routes } from '@murrabel/contract'
import { aheadMs, holdAhead, takeAhead } from '../src/api/ahead.ts'
import { askAhead, call, whenSignedOut } from '../src/api/call.ts'
import { askAheadForInbox } from '../src/sections/inbox/inboxAhead.ts'
import InboxPage from '../src/sections/inbox/InboxPage.vue'
import { askAheadForWatch, withFirstWatch } from '../src/sections/watches/watchAhead.ts'
import WatchPage from '../src/sections/watches/WatchPage.vue'
import { keep, useStage } from './stage.ts'
import { fakeServer, mounting, row, thread } from './support.ts'
import { figuresOf } from './watchSupport.ts'

useStage({ sizes: true })

describe('an answer asked for ahead', () => {
  test('is given once, and not when it is old', async () => {
    holdAhead('/a', Promise.resolve(1), 0)
    expect(await takeAhead('/a', 10)).toBe(1)
    expect(takeAhead('/a', 11)).toBeUndefined()
    holdAhead('/b', Promise.resolve(2), 0)
    expect(takeAhead('/b', aheadMs + 1)).toBeUndefined()
  })
  test('its failure is met by whoever calls, and by nobody else', async () => {
    let told = 0
    whenSignedOut(() => told++)
    fakeServer({ 'GET /api/brand': () => ({ status: 401, body: { code: 'notSignedIn', detail: '' } }) })
    askAhead(routes.brand)
    await flushPromises()
    expect(told).toBe(0)
    await expect(call(routes.brand)).rejects.toThrow()
    whenSignedOut(() => {})
  })
})

const tide = { unit: 'day', usual: null, buckets: [] }
const server = () =>
  fakeServer({
    'GET /api/entries/count': { count: 1, pastDue: 0 },
    'GET /api/entries': { rows: [row()], next: null },
    'GET /api/tide': tide,
    'GET /api/threads/9': thread({ id: 9 }),
    'GET /api/watches/summaries': { watches: [], groups: [], all: null },
    'GET /api/watches/figures': figuresOf(),
    'GET /api/watches/phrases': {
      phrases: [],
      entries: 0,
      against: 0,
      background: 'before',
      backgroundDays: 28,
      cut: false,
    },
  })

// A page that asked another question than was asked ahead would ask everything twice.
test.each([
  ['/watch?watch=4', WatchPage, askAheadForWatch],
  ['/watch?watch=4&time=last-90&sentiment=negative', WatchPage, askAheadForWatch],
  ['/inbox', InboxPage, askAheadForInbox],
  ['/inbox?state=any&given=anybody&words=galley', InboxPage, askAheadForInbox],
])('%s asks for nothing twice', async (path, page, ahead) => {
  const { calls } = server()
  const around = await mounting({ path })
  ahead(around.router.currentRoute.value)
  await flushPromises()
  const first = calls.map((c) => c.path)
  expect(first.length).toBeGreaterThan(2)
  keep(mount(page, { global: { ...around.global, stubs: { VirtualList: true } } }))
  await flushPromises()
  const after = calls.map((c) => c.path).slice(first.length)
  expect(after.filter((each) => first.includes(each))).toEqual([])
})

test('an address without a watch gets the first of the list', async () => {
  await mounting()
  expect(withFirstWatch({ time: 'last-7' })).toEqual({ time: 'last-7', watch: '4' })
  expect(withFirstWatch({ watch: '9' })).toBeNull()
  expect(withFirstWatch({ group: '2' })).toBeNull()
})
