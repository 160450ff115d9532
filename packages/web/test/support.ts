import { createPinia, setActivePinia } from 'pinia'
import type { Plugin } from 'vue'
import { createI18n } from 'vue-i18n'
import { createMemoryHistory, createRouter, type Router } from 'vue-router'
import {
  problemOf,
  type BrandAnswer,
  type EntryRow,
  type ThreadAnswer,
  type ThreadEntry,
} from '@murrabel/contract'
import { en } from '../src/messages/en.ts'
import { fr } from '../src/messages/fr.ts'
import { useBrand } from '../src/stores/brand.ts'

export const brandAnswer = (role: BrandAnswer['me']['role'] = 'specialist'): BrandAnswer => ({
  me: { id: 2, name: 'Tamsin Kerr', role, email: 'tamsin@skerrivane.example', limited: false },
  brand: { id: 1, name: 'Skerrivane Ferries', zone: 'Europe/London' },
  brands: [{ id: 1, name: 'Skerrivane Ferries' }],
  places: [
    { id: 1, name: 'Port Ellery', hours: true },
    { id: 2, name: 'Dunmarrow', hours: true },
  ],
  colleagues: [
    { id: 2, name: 'Tamsin Kerr', role, awayUntil: null },
    { id: 3, name: 'Ivo Oduya', role: 'lead', awayUntil: null },
  ],
  teams: [],
  watches: [
    {
      id: 4,
      name: 'Storm Petrel',
      query: {
        anyOf: [{ text: 'storm petrel' }],
        allOf: [],
        noneOf: [],
        links: [],
        near: [],
        voices: { only: [], without: [] },
        channels: [],
        languages: [],
      },
      groupId: null,
      paused: false,
      answered: false,
      historyDone: 10,
      historyTotal: 10,
      mentions: 3,
      edition: 1,
    },
  ],
  groups: [],
  aspects: [{ id: 1, name: 'Crew' }],
  tags: [{ id: 5, name: 'galley' }],
  answers: { maps: ['review', 'question'] },
  channels: ['maps', 'pages'],
  profileCount: 7,
})

export type Mounting = { global: { plugins: Plugin[] }; router: Router }

/** What components stand in: messages, a router, and a store that knows the brand. */
export async function mounting({
  path = '/',
  role,
  locale = 'en',
}: { path?: string; role?: BrandAnswer['me']['role']; locale?: 'en' | 'fr' } = {}): Promise<Mounting> {
  const pinia = createPinia()
  setActivePinia(pinia)
  useBrand().answer = brandAnswer(role)
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [{ path: '/:rest(.*)*', component: { template: '<div />' } }],
  })
  await router.push(path)
  return {
    global: { plugins: [pinia, router, createI18n({ legacy: false, locale, messages: { en, fr } })] },
    router,
  }
}

export const row = (more: Partial<EntryRow> = {}): EntryRow => ({
  id: 1,
  threadId: 9,
  kind: 'review',
  channel: 'maps',
  network: 'wherabout',
  profile: 'Skerrivane Ferries, Dunmarrow',
  placeId: 2,
  author: 'Perrin Oakes',
  title: null,
  text: 'Waited ninety minutes.',
  deleted: false,
  rating: 1,
  at: '2026-11-22T18:42:00Z',
  sentiment: 'negative',
  wish: 'complaint',
  doubt: false,
  state: 'open',
  givenTo: null,
  teamId: null,
  priority: 0,
  spam: false,
  dueAt: '2026-11-22T22:42:00Z',
  pressingAt: '2026-11-22T21:42:00Z',
  private: false,
  paid: false,
  url: null,
  reach: 0,
  spans: [],
  language: 'en',
  voiceId: 31,
  storyId: null,
  corrected: false,
  tags: [],
  kept: false,
  notSent: false,
  ...more,
})

export const entry = (more: Partial<ThreadEntry> = {}): ThreadEntry => ({
  id: 1,
  direction: 'in',
  private: false,
  kind: 'review',
  author: 'Perrin Oakes',
  title: null,
  text: 'Waited ninety minutes, terrible.',
  wish: null,
  wantsAnswer: null,
  doubt: false,
  rating: 1,
  at: '2026-11-22T18:42:00Z',
  mail: null,
  attachments: [],
  pictures: [],
  likes: null,
  shares: null,
  language: 'en',
  sentiment: 'negative',
  correctedBy: null,
  confidence: 0.8,
  contradicts: false,
  spans: [{ start: 23, end: 31, contribution: -3.2 }],
  url: 'http://127.0.0.1/items/1',
  undated: false,
  edits: [],
  deletedAt: null,
  erased: false,
  reportable: false,
  report: null,
  changeable: false,
  change: null,
  action: null,
  ...more,
})

export const thread = (more: Partial<ThreadAnswer> = {}): ThreadAnswer => ({
  notes: [],
  approvals: [],
  draft: null,
  id: 9,
  edition: 3,
  kind: 'review',
  leadId: 1,
  title: null,
  url: null,
  channel: 'maps',
  network: 'wherabout',
  profile: 'Skerrivane Ferries, Dunmarrow',
  profileId: 5,
  placeId: 2,
  state: 'open',
  setAsideUntil: null,
  givenTo: null,
  teamId: null,
  priority: 0,
  spam: null,
  regroups: false,
  dueAt: null,
  private: false,
  paid: false,
  tags: [],
  urgency: {
    points: 80,
    parts: [
      { name: 'pastDue', amount: 120, points: 40 },
      { name: 'negative', amount: 1, points: 15 },
      { name: 'poorRating', amount: 1, points: 25 },
    ],
  },
  entries: [entry()],
  events: [],
  person: {
    id: 1,
    name: 'Perrin Oakes',
    handle: 'p_oakes',
    network: 'wherabout',
    since: '2026-03-01T00:00:00Z',
    count: 2,
    before: [
      {
        id: 3,
        threadId: 8,
        text: 'Best bacon roll.',
        at: '2026-08-19T09:00:00Z',
        sentiment: 'positive',
        channel: 'maps',
        rating: null,
      },
    ],
  },
  reply: {
    possible: true,
    as: 'Port Ellery',
    maxLength: 50,
    privately: false,
    files: null,
    maxParts: null,
    handedOff: null,
    public: true,
    markup: false,
  },
  watches: [],
  draftFiles: [],
  visitor: null,
  post: null,
  ...more,
})

/** JSON as it was meant; a file as it is. */
function bodyOf(body: unknown): unknown {
  if (typeof body !== 'string') return undefined
  try {
    return JSON.parse(body) as unknown
  } catch {
    return body
  }
}

/** Answers of the server, by method and the beginning of the path; each call is noted. */
export function fakeServer(
  answers: Record<string, unknown | ((body: unknown, path: string) => { status?: number; body: unknown })>,
): { calls: { method: string; path: string; body: unknown }[] } {
  const calls: { method: string; path: string; body: unknown }[] = []
  globalThis.fetch = (async (path: string, init: RequestInit = {}) => {
    const method = init.method ?? 'GET'
    const body = bodyOf(init.body)
    calls.push({ method, path, body })
    const name = Object.keys(answers).find((each) => `${method} ${path}`.startsWith(each))
    // A path that nobody thought of is not taken for one that answers nothing.
    const found = name === undefined ? () => ({ status: 404, body: problemOf('notFound') }) : answers[name]
    const { status = 200, body: answer } =
      typeof found === 'function'
        ? (found as (b: unknown, p: string) => { status?: number; body: unknown })(body, path)
        : { body: found }
    return new Response(answer === undefined ? null : JSON.stringify(answer), {
      status: answer === undefined ? 204 : status,
      headers: { 'content-type': 'application/json' },
    })
  }) as typeof fetch
  return { calls }
}
