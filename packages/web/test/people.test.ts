import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import {
  problemOf,
  type FollowUp,
  type PeopleAnswer,
  type PersonCard,
  type Proposal,
} from '@murrabel/contract'
import { useUndo } from '../src/stores/undo.ts'
import { draftOf, fieldsOf, newFields } from '../src/sections/followUps/followUpDraft.ts'
import FollowUpsPage from '../src/sections/followUps/FollowUpsPage.vue'
import PeoplePage from '../src/sections/people/PeoplePage.vue'
import PersonCardView from '../src/sections/people/PersonCard.vue'
import { button, keep, useStage } from './stage.ts'
import { fakeServer, mounting } from './support.ts'

useStage({ sizes: true })

const proposal: Proposal = {
  one: { id: 7, name: 'Perrin Oakes', networks: ['wherabout'] },
  other: { id: 9, name: 'p_oakes', networks: ['framelet'] },
  likeness: 0.9345,
  reasons: [
    { kind: 'names', likeness: 0.9345, one: 'Perrin Oakes', other: 'p_oakes' },
    { kind: 'topic', words: ['carlane', 'dunmarrow'], at: Date.parse('2026-11-22T10:00:00Z') },
    { kind: 'place', place: 2 },
  ],
}
const followUp: FollowUp = {
  id: 3,
  edition: 2,
  threadId: 12,
  person: { id: 7, name: 'Perrin Oakes' },
  placeId: 2,
  channel: 'maps',
  kind: 'lead',
  what: 'Thirty-four for the Saturday boat',
  worth: 1900,
  currency: 'GBP',
  nextStep: 'Send the quote',
  dueAt: '2026-12-01T09:00:00.000Z',
  late: false,
  givenTo: 2,
  madeBy: 'Tamsin Kerr',
  madeAt: '2026-11-27T09:00:00.000Z',
  doneAt: null,
  doneBy: null,
  outcome: '',
}
const card = (more: Partial<PersonCard> = {}): PersonCard => ({
  id: 7,
  edition: 1,
  erasedAt: null,
  name: 'Perrin Oakes',
  named: false,
  language: 'en',
  standing: 'customer',
  note: 'Regular, on top of it all',
  accounts: [{ id: 1, name: 'Perrin Oakes', handle: 'perrin', network: 'wherabout', url: null }],
  ways: [
    {
      id: 4,
      kind: 'email',
      value: 'perrin@orrin.example',
      consent: true,
      consentAt: '2026-10-03T09:00:00Z',
      consentHow: 'when booking',
    },
    { id: 5, kind: 'phone', value: '+447700900142', consent: false, consentAt: null, consentHow: '' },
  ],
  members: [{ id: 7, name: 'Perrin Oakes', networks: ['wherabout'] }],
  joins: [],
  said: 2,
  since: '2026-03-01T09:00:00Z',
  openThreads: 1,
  pastDue: 1,
  entries: [
    {
      id: 31,
      threadId: 12,
      kind: 'review',
      channel: 'maps',
      network: 'wherabout',
      placeId: 2,
      title: null,
      text: 'Waited ninety minutes in the car lane.',
      rating: 1,
      at: '2026-11-22T10:00:00Z',
      sentiment: 'negative',
      wish: 'complaint',
      state: 'open',
      files: [{ id: 4, name: 'ticket.pdf' }],
    },
  ],
  course: [
    { at: '2026-03-01T09:00:00Z', score: 0.6, sentiment: 'positive' },
    { at: '2026-11-22T10:00:00Z', score: -0.7, sentiment: 'negative' },
  ],
  proposals: [],
  followUps: [],
  tags: [],
  visits: [],
  visitCount: 0,
  ...more,
})
const people: PeopleAnswer = {
  rows: [
    {
      id: 7,
      name: 'Perrin Oakes',
      standing: 'customer',
      note: 'Regular',
      networks: ['wherabout'],
      said: 2,
      last: '2026-11-22T10:00:00Z',
      sentiments: ['positive', 'negative'],
      openThreads: 1,
      visits: { done: 3, latest: { at: '2026-11-22T09:20:00Z', state: 'done' }, next: null },
    },
  ],
  next: null,
}
const nothing = {
  'GET /api/tide': { unit: 'day', usual: null, buckets: [] },
  'GET /api/follow-ups': { rows: [], total: 0, late: 0, next: null },
}
const open = async (
  answers: Record<string, unknown>,
  options: Parameters<typeof mounting>[0] = {},
  page: typeof PeoplePage | typeof FollowUpsPage = PeoplePage,
) => {
  const { calls } = fakeServer({ 'GET /api/people/count': { count: 1 }, ...answers, ...nothing, ...answers })
  const { router, global } = await mounting({ path: '/inbox/people', ...options })
  const html = keep(mount(page, { global, attachTo: document.body }))
  await flushPromises()
  return { html, router, sent: (method: string) => calls.filter((each) => each.method === method) }
}

describe('the page of people', () => {
  test('says how many, opens the first, and offers who may be the same with the reasons', async () => {
    const { html, router } = await open({
      'GET /api/people/proposals': { proposals: [proposal], total: 4 },
      'GET /api/people/7': card(),
      'GET /api/people': people,
    })
    expect(html.find('[data-test="count"]').text()).toBe('1 person')
    expect(router.currentRoute.value.path).toBe('/inbox/people/7')
    const note = html.find('[data-test="proposal"]').text().replace(/\s+/g, ' ')
    expect(note).toContain('4 pairs may be the same person.')
    expect(note).toContain('Perrin Oakes (Wherabout) and p_oakes (Framelet): names alike to 0.93 of 1')
    expect(note).toContain(
      'both spoke of “carlane” and “dunmarrow” around 22 Nov; both wrote about Dunmarrow.',
    )
  })

  test('a join is sent, told, and can be taken back', async () => {
    const { html, sent } = await open({
      'GET /api/people/proposals': { proposals: [proposal], total: 1 },
      'GET /api/people/7': card(),
      'POST /api/people/joins/8/undo': undefined,
      'POST /api/people/joins': { person: 7, join: 8 },
      'GET /api/people': people,
    })
    await button(html, 'Join them').trigger('click')
    await flushPromises()
    expect(sent('POST')[0]).toMatchObject({ path: '/api/people/joins', body: { one: 7, other: 9 } })
    expect(useUndo().notice?.text).toBe('Perrin Oakes and p_oakes are one person now')
    await useUndo().undo()
    expect(sent('POST')[1]!.path).toBe('/api/people/joins/8/undo')
  })

  test('whoever only reads is offered no join', async () => {
    const { html } = await open(
      {
        'GET /api/people/proposals': { proposals: [proposal], total: 1 },
        'GET /api/people/7': card(),
        'GET /api/people': people,
      },
      { role: 'reader' },
    )
    expect(button(html, 'Join them')).toBeUndefined()
    expect(html.find('button[aria-label="More"]').exists()).toBe(false)
  })

  test('nobody under the lens, and a fault, are told apart', async () => {
    const none = await open({
      'GET /api/people/proposals': { proposals: [], total: 0 },
      'GET /api/people': { rows: [], next: null },
    })
    expect(none.html.text()).toContain('Nobody here')
    none.html.unmount()
    const fault = await open({
      'GET /api/people/proposals': { proposals: [], total: 0 },
      'GET /api/people': () => ({ status: 500, body: problemOf('broken') }),
    })
    expect(fault.html.text()).not.toContain('Nobody here')
  })
})

describe('the card of a person', () => {
  const show = async (given: PersonCard, role: 'specialist' | 'reader' = 'specialist') => {
    const { global } = await mounting({ role })
    return keep(mount(PersonCardView, { global, props: { person: given, may: role !== 'reader' } }))
  }

  test('says how they may be reached, and what waits', async () => {
    const html = await show(card())
    const text = html.text().replace(/\s+/g, ' ')
    expect(text).toContain('may be written to by e-mail (when booking, 3 Oct)')
    expect(text).toContain('may not be written to by text')
    expect(text).toContain('1 open thread, 1 past due')
    expect(html.findAll('.course circle').map((c) => c.classes()[0])).toEqual(['positive', 'negative'])
  })

  test('says of whom it was joined, by whom and why, with the way back', async () => {
    const html = await show(
      card({
        members: [
          { id: 7, name: 'Perrin Oakes', networks: ['wherabout'] },
          { id: 9, name: 'P. Oakes', networks: ['email'] },
        ],
        joins: [
          {
            id: 8,
            one: 7,
            other: 9,
            reasons: [{ kind: 'email', value: 'perrin@orrin.example' }],
            by: null,
            at: '2026-11-22T10:00:00Z',
          },
        ],
      }),
    )
    const text = html.text().replace(/\s+/g, ' ')
    expect(text).toContain('Joined from 2 people')
    expect(text).toContain('joined by itself: the same address, perrin@orrin.example')
    expect(button(html, 'Undo')).toBeDefined()
  })

  test('shows what is to be done for them', async () => {
    const html = await show(card({ followUps: [followUp] }))
    const text = html.find('[data-test="follow-up"]').text().replace(/\s+/g, ' ')
    expect(text).toContain('Thirty-four for the Saturday boat')
    expect(text).toMatch(/Lead · £1,900 · Send the quote/)
  })
})

describe('follow-ups', () => {
  test('the page says how many and how many are late; one is done with a word, and opened again', async () => {
    const { html, sent } = await open(
      {
        'POST /api/follow-ups/3/done': { ...followUp, doneAt: '2026-11-27T10:00:00Z' },
        'POST /api/follow-ups/3/reopen': followUp,
        'GET /api/calendar': { address: null },
        'GET /api/follow-ups': { rows: [{ ...followUp, late: true }], total: 1, late: 1, next: null },
      },
      { path: '/inbox/follow-ups' },
      FollowUpsPage,
    )
    expect(html.find('[data-test="count"]').text()).toBe('1 in all, 1 past due')
    await button(html, 'Done').trigger('click')
    await html.find('.finish input').setValue('they come')
    await html.find('.finish').trigger('submit')
    await flushPromises()
    expect(sent('POST')[0]).toMatchObject({
      path: '/api/follow-ups/3/done',
      body: { edition: 2, outcome: 'they come' },
    })
    await useUndo().undo()
    expect(sent('POST')[1]!.path).toBe('/api/follow-ups/3/reopen')
  })

  test('fields are times of the brand, whatever the clock of the browser', () => {
    const zone = 'Australia/Lord_Howe'
    const fields = fieldsOf(followUp, zone)
    expect(fields.due).toBe('2026-12-01T20:00')
    expect(draftOf(fields, zone)).toMatchObject({
      dueAt: '2026-12-01T09:00:00.000Z',
      worth: 1900,
      currency: 'GBP',
    })
    expect(newFields(Date.parse('2026-11-27T20:00:00Z'), zone, 2)).toMatchObject({
      due: '2026-11-29T09:00',
      givenTo: 2,
    })
  })

  test.each([
    ['', null],
    ['12,5', 12.5],
    ['a lot', NaN],
  ])('a worth of "%s" is sent as %s', (worth, sent) => {
    expect(draftOf({ ...fieldsOf(followUp, 'UTC'), worth }, 'UTC').worth).toEqual(sent)
  })
})
