import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, test } from 'vitest'
import type { PersonRow, Visit } from '@murrabel/contract'
import OwnKeys from '../src/sections/keys/OwnKeys.vue'
import CustomerDoors from '../src/sections/keys/CustomerDoors.vue'
import DataSheet from '../src/sections/people/DataSheet.vue'
import PersonRowPart from '../src/sections/people/PersonRow.vue'
import ThreadVisit from '../src/sections/people/ThreadVisit.vue'
import { draftOf, fieldsOf } from '../src/sections/people/visitDraft.ts'
import VisitRow from '../src/sections/people/VisitRow.vue'
import { button, keep, useStage } from './stage.ts'
import { fakeServer, mounting } from './support.ts'

useStage()
beforeEach(() => {
  document.body.innerHTML = ''
})

const visit = (more: Partial<Visit> = {}): Visit => ({
  id: 5,
  edition: 1,
  reference: 'SK4471',
  at: '2026-11-22T09:20:00.000Z',
  route: 'Dunmarrow to Port Ellery',
  ship: 'Storm Petrel',
  placeId: 2,
  party: 2,
  price: 84,
  currency: 'GBP',
  state: 'failed',
  source: 'file',
  ...more,
})

describe('a visit in words', () => {
  test.each<[Partial<Visit>, string]>([
    [{}, 'Dunmarrow to Port Ellery, Storm Petrel, 2 people, £84 did not take place'],
    [{ party: 1, price: 31.5, state: 'done' }, 'Dunmarrow to Port Ellery, Storm Petrel, 1 person, £31.50'],
    [{ route: '', ship: '', party: null, price: null, state: 'booked' }, 'Dunmarrow booked'],
    [
      { route: '', ship: '', party: null, price: 9, currency: null, placeId: null, state: 'cancelled' },
      'A visit, 9 called off',
    ],
  ])('%j', async (more, expected) => {
    const { global } = await mounting()
    const html = keep(mount(VisitRow, { global, props: { visit: visit(more) } }))
    expect(html.find('.what').text().replace(/\s+/g, ' ')).toBe(expected)
  })

  test.each<[PersonRow['visits'], string]>([
    [{ done: 0, latest: null, next: null }, 'no visit known'],
    [
      { done: 3, latest: { at: '2026-11-22T09:20:00Z', state: 'done' }, next: null },
      '3 visits · last on 22 Nov',
    ],
    [
      { done: 1, latest: { at: '2026-11-22T09:20:00Z', state: 'failed' }, next: null },
      '1 visit · 22 Nov did not take place',
    ],
    [
      { done: 0, latest: { at: '2026-11-22T09:20:00Z', state: 'cancelled' }, next: null },
      '22 Nov called off',
    ],
    [{ done: 2, latest: null, next: { at: '2026-12-12T09:20:00Z', party: 34 } }, 'party of 34 on 12 Dec'],
    [{ done: 2, latest: null, next: { at: '2026-12-12T09:20:00Z', party: null } }, 'next on 12 Dec'],
  ])('of a row %j', async (visits, expected) => {
    const row: PersonRow = {
      id: 7,
      name: 'Perrin Oakes',
      standing: null,
      note: '',
      networks: [],
      said: 0,
      last: null,
      sentiments: [],
      openThreads: 0,
      visits,
    }
    const { global } = await mounting()
    const html = keep(mount(PersonRowPart, { global, props: { row } }))
    expect(html.find('.visits').text()).toBe(expected)
    expect(html.find('time').exists()).toBe(false)
  })

  test('fields are times of the brand, and what was not said stays unsaid', () => {
    const parts = { now: Date.parse('2026-07-01T10:00:00Z'), zone: 'Europe/London' }
    expect(fieldsOf(null, parts).at).toBe('2026-07-01T11:00')
    const fields = fieldsOf(visit({ party: null, price: null, placeId: null }), parts)
    expect(draftOf(fields, parts.zone)).toEqual({
      at: '2026-11-22T09:20:00.000Z',
      route: 'Dunmarrow to Port Ellery',
      ship: 'Storm Petrel',
      placeId: null,
      party: null,
      price: null,
      currency: null,
      state: 'failed',
      reference: 'SK4471',
    })
    expect(draftOf({ ...fields, at: 'soon', party: 'two', price: '84,5' }, parts.zone)).toMatchObject({
      at: 'soon',
      party: NaN,
      price: 84.5,
      currency: 'GBP',
    })
  })
})

describe('which visit a thread is about', () => {
  const proposal = {
    visit: visit(),
    weight: 0.824,
    reasons: [
      { kind: 'near', days: 2 },
      { kind: 'place', place: 2 },
    ],
  }
  const open = async (answers: Record<string, unknown>, role: 'specialist' | 'reader' = 'specialist') => {
    const { calls } = fakeServer(answers)
    const { global } = await mounting({ role })
    const html = keep(mount(ThreadVisit, { global, props: { threadId: 12 } }))
    await flushPromises()
    return { html, calls }
  }
  test('is offered with its reasons, said, and taken back', async () => {
    const { html, calls } = await open({
      'PUT /api/threads/12/visits/5': { visit: visit(), proposals: [] },
      'GET /api/threads/12/visits': { visit: null, proposals: [proposal] },
    })
    expect(html.text().replace(/\s+/g, ' ')).toContain('0.82 of 1: written 2 days later and about Dunmarrow')
    await button(html, 'It is about this visit').trigger('click')
    await flushPromises()
    expect(calls.at(-1)).toMatchObject({ method: 'PUT', body: { belongs: true } })
    await button(html, 'It is not about this visit').trigger('click')
    expect(calls.at(-1)).toMatchObject({ method: 'PUT', body: { belongs: null } })
  })
  test('whoever only reads is asked nothing; with nothing to say there is nothing', async () => {
    const { html } = await open(
      { 'GET /api/threads/12/visits': { visit: null, proposals: [proposal] } },
      'reader',
    )
    expect(html.findAll('button')).toHaveLength(0)
    const none = await open({ 'GET /api/threads/12/visits': { visit: null, proposals: [] } })
    expect(none.html.find('section').exists()).toBe(false)
  })
})

describe('keys and doors', () => {
  const key = {
    id: 3,
    name: 'Till',
    ending: 'abcd',
    rights: ['import', 'look'],
    madeAt: '2026-11-01T09:00:00Z',
    endsAt: '2026-11-02T09:00:00Z',
    usedAt: null,
  }
  test('a key that has ended says so; one that is made is shown once', async () => {
    const { calls } = fakeServer({
      'POST /api/keys': { key: { ...key, id: 4, name: 'Desk' }, token: 'mrb_once' },
      'GET /api/keys': [key],
    })
    const { global } = await mounting()
    const html = keep(mount(OwnKeys, { global, attachTo: document.body }))
    await flushPromises()
    expect(html.find('li').text().replace(/\s+/g, ' ')).toContain(
      'Till …abcdbring in files and customers and see entries, people and figuresended on 2 Nov',
    )
    // Only what oneself may do is offered.
    expect(html.findAll('.rights label').map((each) => each.text())).not.toContain(
      'set up profiles and hooks',
    )
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(calls.some(({ method }) => method === 'POST')).toBe(false)
    await html.find('input[maxlength="80"]').setValue('Desk')
    await html.find('form').trigger('submit')
    await flushPromises()
    expect(calls.find(({ method }) => method === 'POST')?.body).toMatchObject({
      name: 'Desk',
      rights: ['look'],
    })
    expect(html.find('[data-test="shown-once"]').text()).toBe('mrb_once')
  })
  test('a door says what came through it and what was wrong', async () => {
    fakeServer({
      'GET /api/doors': [
        {
          id: 1,
          name: 'Booking system',
          address: 'https://murrabel.example/hooks/customers/x',
          madeBy: 'Ivo',
          madeAt: '2026-11-01T09:00:00Z',
          lastAt: null,
          taken: 1200,
          refused: 1,
          problem: 'customers[0].phone: This is no telephone number',
        },
      ],
    })
    const { global } = await mounting({ role: 'owner' })
    const html = keep(mount(CustomerDoors, { global, attachTo: document.body }))
    await flushPromises()
    expect(html.find('li').text().replace(/\s+/g, ' ')).toContain(
      'customers[0].phone: This is no telephone numberno message yet1,200 customers taken in · 1 message refused',
    )
  })
})

describe('erasing and handing out', () => {
  const request = {
    id: 9,
    kind: 'erase',
    personId: 7,
    askedBy: 'by mail',
    by: 'Ivo',
    at: '2026-11-27T09:00:00Z',
    counts: { entries: 3, answers: 1, attachments: 0, visits: 2, accounts: 1, ways: 1 },
  }
  const open = async (kind: 'erase' | 'handOut') => {
    const { calls } = fakeServer({
      'POST /api/people/7/erasures': request,
      'POST /api/people/7/hand-outs': { ...request, kind: 'handOut' },
    })
    const { global } = await mounting({ role: 'lead' })
    const html = keep(
      mount(DataSheet, {
        global,
        attachTo: document.body,
        props: { modelValue: true, person: 7, name: 'Perrin Oakes', kind },
      }),
    )
    await flushPromises()
    return { html, calls }
  }
  const type = async (nth: number, text: string) => {
    const input = document.querySelectorAll<HTMLInputElement>('.el-drawer input')[nth]!
    input.value = text
    input.dispatchEvent(new Event('input'))
    await flushPromises()
  }
  const send = async () => {
    document.querySelector('.el-drawer form')!.dispatchEvent(new Event('submit', { cancelable: true }))
    await flushPromises()
  }
  const submit = () => document.querySelector<HTMLButtonElement>('.el-drawer button[type="submit"]')

  test('nobody is erased by a slip of the hand: their name is typed, and who asked is written down', async () => {
    const { calls } = await open('erase')
    await type(0, 'by mail')
    expect(submit()!.disabled).toBe(true)
    await type(1, 'Perrin')
    expect(submit()!.disabled).toBe(true)
    await type(1, 'Perrin Oakes')
    expect(submit()!.disabled).toBe(false)
    await type(0, '')
    await send()
    expect(calls).toEqual([])
    await type(0, 'by mail')
    await send()
    expect(calls).toMatchObject([{ path: '/api/people/7/erasures', body: { askedBy: 'by mail' } }])
  })
  test('what is handed out is loaded under its request', async () => {
    await open('handOut')
    await type(0, 'at the desk')
    await send()
    expect(document.querySelector('.el-drawer a[download]')!.getAttribute('href')).toBe(
      '/api/people/7/hand-outs/9',
    )
    expect(document.querySelector('.el-drawer')!.textContent).toContain(
      '3 said, 1 answers, 0 files, 2 visits',
    )
  })
})
