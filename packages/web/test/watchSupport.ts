import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import type { Component } from 'vue'
import type {
  FiguresAnswer,
  PhraseAnswer,
  SummariesAnswer,
  TunerAnswer,
  WatchAnswer,
  WatchGroupAnswer,
} from '@murrabel/contract'
import { keep } from './stage.ts'
import { brandAnswer, fakeServer, mounting, row } from './support.ts'

export const watchOf = (more: Partial<WatchAnswer> = {}): WatchAnswer => ({
  ...brandAnswer().watches[0]!,
  ...more,
})
export const groupOf = (id: number, more: Partial<WatchGroupAnswer> = {}): WatchGroupAnswer => ({
  id,
  parentId: null,
  name: `Group ${id}`,
  kind: 'other',
  edition: 1,
  ...more,
})

export const phraseOf = (text: string, more: Partial<PhraseAnswer> = {}): PhraseAnswer => ({
  text,
  phrase: text.toLowerCase(),
  count: 12,
  before: 1,
  z: 6,
  counts: { positive: 0, neutral: 0, negative: 12, unread: 0 },
  net: { net: -1, low: -1, high: -0.6, n: 12 },
  ...more,
})

const direction = { verdict: 'level' as const, perPeriod: 0, slope: 0, p: 1, s: 0, periods: 12 }
export const figuresOf = (more: Partial<FiguresAnswer> = {}): FiguresAnswer => ({
  range: { from: '2026-10-29T00:00:00Z', to: '2026-11-26T00:00:00Z', days: 28 },
  counts: { positive: 1, neutral: 0, negative: 2, unread: 1 },
  total: 4,
  net: { net: -0.33, low: -1, high: 0.6, n: 13, independent: 4.2 },
  usual: { verdict: 'above', p: 0.01, low: 0, high: 2.6, periods: 6 },
  before: { total: 2, net: { net: 0.5, low: 0.1, high: 0.9, n: 12 } },
  countChange: null,
  netChange: { difference: -0.83, low: -1.2, high: -0.2, p: 0.001, enough: true, sure: true },
  direction: {
    unit: 'week',
    volume: direction,
    net: direction,
    volumes: [1, 3],
    nets: [0.5, null],
    starts: ['2026-11-12T00:00:00Z', '2026-11-19T00:00:00Z'],
    missed: [false, false],
  },
  share: null,
  onTopic: null,
  channels: [{ key: 'maps', positive: 1, neutral: 0, negative: 2, unread: 1 }],
  languages: [{ key: 'en', positive: 1, neutral: 0, negative: 2, unread: 1 }],
  places: [{ key: 2, positive: 1, neutral: 0, negative: 2, unread: 1 }],
  hours: [{ key: 14, n: 4 }],
  aspects: [
    {
      id: 1,
      name: 'Crew',
      positive: 1,
      neutral: 0,
      negative: 1,
      unread: 0,
      net: { net: 0, low: -1, high: 1, n: 2 },
    },
  ],
  copies: 3,
  outages: [],
  ...more,
})

export const summariesOf = (count = 4): SummariesAnswer => ({
  range: { from: '2026-10-29T00:00:00Z', to: '2026-11-26T00:00:00Z', days: 28 },
  watches: [
    {
      id: 4,
      count,
      usual: { verdict: 'above', p: 0.01, low: 0, high: 2, periods: 6 },
      net: { net: -0.5, n: 14 },
      spark: [0, 1, 0, 1, 0, 1, 2, 1, 0, 1, 0, 1, 2, 2],
    },
  ],
})

export const tunedOf = (more: Partial<TunerAnswer> = {}): TunerAnswer => ({
  hits: 2,
  searched: 1711,
  cut: false,
  days: 90,
  perDay: [{ at: '2026-11-23T00:00:00Z', count: 2 }],
  channels: [{ key: 'news', count: 2 }],
  languages: [{ key: 'en', count: 2 }],
  overlap: [],
  precision: { onTopic: 0, marked: 0, value: 0.5, low: 0.05, high: 0.95, tooFew: true },
  verdict: 'tooLittleMarked',
  exclusions: [],
  additions: [],
  sample: [
    { ...row({ id: 1, text: 'The Storm Petrel was late' }), hits: [{ start: 4, end: 16 }], onTopic: null },
    { ...row({ id: 2, text: 'A storm petrel in the bay' }), hits: [{ start: 2, end: 14 }], onTopic: null },
  ],
  ...more,
})

export type Answers = Parameters<typeof fakeServer>[0]
/** A page on a server that answers so. */
export async function open(
  page: Component,
  answers: Answers,
  { path = '/', role, props = {} }: { path?: string; role?: 'reader'; props?: object } = {},
) {
  const server = fakeServer(answers)
  const around = await mounting({ path, role })
  const html: VueWrapper = keep(mount(page, { global: around.global, props, attachTo: document.body }))
  await flushPromises()
  return {
    html,
    at: () => around.router.currentRoute.value,
    body: () => document.body.textContent!.replace(/\s+/g, ' '),
    ...server,
    sent: (method: string, path = '') =>
      server.calls.filter((c) => c.method === method && c.path.startsWith(path)),
  }
}
export const range = { from: '2026-10-29T00:00:00Z', to: '2026-11-26T00:00:00Z', days: 28 }
export const net = (value: number, half = 0.1, n = 100) => ({
  net: value,
  low: value - half,
  high: value + half,
  n,
})
export const level = { difference: 0, low: -1, high: 1, p: 0.4, enough: true, sure: false, ratio: 1 }
export const up = { difference: 2, low: 1, high: 3, p: 0.001, enough: true, sure: true, ratio: 1.8 }
export const down = { difference: -2, low: -3, high: -1, p: 0.001, enough: true, sure: true, ratio: 0.5 }
