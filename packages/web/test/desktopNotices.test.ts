import { flushPromises, mount } from '@vue/test-utils'
import { defineComponent, h } from 'vue'
import { beforeEach, expect, test, vi } from 'vitest'
import type { NoticeAnswer, NoticeChoices } from '@murrabel/contract'
import NoticeChoicesForm from '../src/sections/account/NoticeChoices.vue'
import { useDesktopNotices } from '../src/sections/alerts/useDesktopNotices.ts'
import { useNotices } from '../src/stores/notices.ts'
import { keep, useStage } from './stage.ts'
import { fakeServer, mounting } from './support.ts'

useStage()
const shown: { title: string; tag?: string; closed: boolean; onclick?: () => void }[] = []
class FakeNotification {
  static permission = 'granted'
  static requestPermission = vi.fn(async () => (FakeNotification.permission = 'granted'))
  readonly record: (typeof shown)[number]
  constructor(title: string, { tag }: { tag?: string } = {}) {
    this.record = { title, tag, closed: false }
    shown.push(this.record)
  }
  set onclick(act: () => void) {
    this.record.onclick = act
  }
  close() {
    this.record.closed = true
  }
}
const notice = (of: Partial<NoticeAnswer>): NoticeAnswer => ({
  id: 1,
  kind: 'given',
  thread: 9,
  author: 'Odile',
  by: null,
  at: new Date().toISOString(),
  text: null,
  seen: false,
  ...of,
})
const chosen: NoticeChoices = { silent: [], desktop: ['given'], mail: [], quiet: null }

beforeEach(() => {
  shown.length = 0
  FakeNotification.permission = 'granted'
  vi.stubGlobal('Notification', FakeNotification)
  vi.spyOn(document, 'hasFocus').mockReturnValue(false)
})

/** The page is open; then a notice comes. */
async function hears(choices: NoticeChoices, next: NoticeAnswer[]) {
  fakeServer({})
  const around = await mounting({ path: '/watch' })
  const store = useNotices()
  keep(
    mount(defineComponent({ setup: () => (useDesktopNotices(), () => h('i')) }), { global: around.global }),
  )
  store.choices = choices
  store.notices = [notice({ id: 1 })]
  await flushPromises()
  store.notices = [...next, notice({ id: 1 })]
  await flushPromises()
  return { store, at: () => around.router.currentRoute.value }
}

test('what is new shows once; what was there before does not, nor what was not chosen', async () => {
  const { store, at } = await hears(chosen, [notice({ id: 2 }), notice({ id: 3, kind: 'mention' })])
  expect(shown).toMatchObject([{ title: 'Somebody assigned you Odile', tag: 'murrabel-2' }])
  store.notices = [...store.notices]
  await flushPromises()
  expect(shown).toHaveLength(1)
  shown[0]!.onclick!()
  await flushPromises()
  expect(at().path).toBe('/inbox/9')
})

test('seen elsewhere, it goes away', async () => {
  const { store } = await hears(chosen, [notice({ id: 2 })])
  expect(shown[0]!.closed).toBe(false)
  store.notices = store.notices.map((each) => ({ ...each, seen: true }))
  await flushPromises()
  expect(shown[0]!.closed).toBe(true)
})

test.each([
  ['somebody looks at the page', () => void vi.spyOn(document, 'hasFocus').mockReturnValue(true), chosen],
  ['the browser was not allowed to', () => void (FakeNotification.permission = 'denied'), chosen],
  ['it is a quiet time', () => {}, { ...chosen, quiet: { from: '00:00', until: '23:59' } }],
])('nothing shows when %s', async (_, set, choices) => {
  set()
  vi.useFakeTimers({ now: Date.parse('2026-11-24T12:00:00Z'), toFake: ['Date'] })
  await hears(choices, [notice({ id: 2 })])
  expect(shown).toEqual([])
  vi.useRealTimers()
})

test('choices are ticked and saved; the desktop is asked for when it is first chosen', async () => {
  FakeNotification.permission = 'default'
  const { calls } = fakeServer({
    'GET /api/notices/choices': { silent: ['given'], desktop: [], mail: [], quiet: null },
    'GET /api/notices': [],
    'PUT /api/notices/choices': {
      silent: [],
      desktop: ['given'],
      mail: [],
      quiet: { from: '20:00', until: '07:30' },
    },
  })
  const around = await mounting({ path: '/set-up/account' })
  await useNotices().load()
  const html = keep(mount(NoticeChoicesForm, { global: around.global, attachTo: document.body }))
  await flushPromises()
  const box = (label: string) =>
    html.find<HTMLInputElement>(`input[aria-label="a thread is assigned to me: ${label}"]`)
  expect(box('Bell').element.checked).toBe(false)
  await box('Bell').setValue(true)
  await box('Desktop').setValue(true)
  await flushPromises()
  expect(FakeNotification.requestPermission).toHaveBeenCalledOnce()
  await html.find('.el-checkbox input').setValue(true)
  await html.find('form').trigger('submit')
  await flushPromises()
  expect(calls.find(({ method, path }) => method === 'PUT' && path === '/api/notices/choices')?.body).toEqual(
    {
      silent: [],
      desktop: ['given'],
      mail: [],
      quiet: { from: '20:00', until: '07:30' },
    },
  )
})
