import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import {
  customerColumns,
  type ImportState,
  type PeopleAnswer,
  type PersonCard,
  type Problem,
  type TakenCustomers,
  type ThreadVisitsAnswer,
  type Visit,
} from '@murrabel/contract'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { until } from '../support/until.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let specialist: Caller
let manager: Caller
let managed: { id: number; name: string }
let elsewhere: { id: number; name: string }
let post: IngestProfile

beforeAll(async () => {
  world = await startTestWorld()
  ;[specialist, manager] = (await Promise.all(
    (['tamsin', 'ness'] as const).map((who) => world.signIn(who)),
  )) as [Caller, Caller]
  const { db } = world.server.context
  managed = (await db.one(
    `SELECT p.id, p.name FROM places p WHERE p.id = (
       SELECT m.place_ids[1] FROM memberships m JOIN colleagues c ON c.id = m.colleague_id WHERE c.email LIKE 'ness@%'
     )`,
  ))!
  elsewhere = (await db.one(
    'SELECT id, name FROM places WHERE brand_id = 1 AND id <> $1 ORDER BY id LIMIT 1',
    [managed.id],
  ))!
  post = (await db.one<IngestProfile>(
    `INSERT INTO profiles (brand_id, place_id, channel, network, outside_id, name, status, hook_token)
     VALUES (1, $1, 'email', 'email', 'post', 'post', 'expired', 'post')
     RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
    [elsewhere.id],
  ))!
}, 150_000)
afterAll(() => world.stop())

const ago = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString()
let nth = 0
/** A mail of somebody; answers its thread. */
async function writes(email: string, text: string, days = 0): Promise<number> {
  const id = `mail-${++nth}`
  await ingest(world.server.context, post, [
    {
      outsideId: id,
      threadId: id,
      kind: 'message',
      direction: 'in',
      author: { outsideId: email, name: email.split('@')[0]! },
      text,
      at: Date.parse(ago(days)),
      raw: {},
    },
  ])
  await settled(world)
  const { db } = world.server.context
  return (await db.one<{ id: number }>('SELECT thread_id AS id FROM entries WHERE outside_id = $1', [id]))!.id
}
const people = async (query: string, call = specialist) =>
  (await call<PeopleAnswer>('GET', `/api/people?${query}`)).body.rows
const card = async (id: number, call = specialist) =>
  (await call<PersonCard>('GET', `/api/people/${id}`)).body
const take = (body: object) => specialist<TakenCustomers & Problem>('POST', '/api/customers', body)

describe('customers of a program', () => {
  const odile = {
    reference: 'C1',
    name: 'Odile Marchetaux',
    email: 'odile@m.example',
    consent: { email: { given: true, how: 'when booking' } },
    tags: ['season ticket'],
    visit: {
      reference: 'SK1',
      at: ago(3),
      route: 'Dunmarrow to Port Ellery',
      price: 31,
      currency: 'GBP',
      state: 'done',
    },
  }

  test('are noted with their visits, and found by a lens that asks for visits; the same twice changes nothing', async () => {
    expect((await take({ customers: [odile] })).body).toEqual({ added: 1, known: 0, erased: 0 })
    expect((await take({ customers: [odile, odile] })).body).toEqual({ added: 0, known: 2, erased: 0 })
    await settled(world)
    expect(await people('named=odile')).toEqual([])
    const [row] = await people('named=odile&visited=yes')
    expect(row).toMatchObject({
      name: 'Odile Marchetaux',
      said: 0,
      last: null,
      visits: { done: 1, latest: { state: 'done' }, next: null },
    })
    const found = await card(row!.id)
    expect(found).toMatchObject({
      visitCount: 1,
      visits: [{ reference: 'SK1', route: 'Dunmarrow to Port Ellery', price: 31, source: 'call' }],
      ways: [{ kind: 'email', consent: true, consentHow: 'when booking' }],
    })
    expect(await people(`taggedAs=${found.tags[0]}&visited=yes`)).toHaveLength(1)
    expect(await people(`taggedAs=${found.tags[0]}`)).toEqual([])
  })

  test('what is told late of a visit changes nothing, what is told later does', async () => {
    const visit = (state: string) => ({ ...odile, visit: { ...odile.visit, reference: 'SK2', state } })
    expect((await take({ at: ago(1), customers: [visit('failed')] })).body.added).toBe(1)
    expect((await take({ at: ago(2), customers: [visit('booked')] })).body).toMatchObject({
      added: 0,
      known: 1,
    })
    const [row] = await people('named=odile&visited=yes')
    const states = async () =>
      (await card(row!.id)).visits.filter(({ reference }) => reference === 'SK2').map(({ state }) => state)
    expect(await states()).toEqual(['failed'])
    expect((await take({ at: ago(0), customers: [visit('cancelled')] })).body.added).toBe(1)
    expect(await states()).toEqual(['cancelled'])
  })

  test('consent that was taken back is not given again by what has no date', async () => {
    const consent = (given: boolean, at?: string) => ({
      customers: [
        { reference: 'C1', email: 'odile@m.example', consent: { email: { given, at, how: 'form' } } },
      ],
    })
    const [row] = await people('named=odile&visited=yes')
    const now = async () => (await card(row!.id)).ways[0]!.consent
    await take(consent(false))
    expect(await now()).toBe(false)
    await take(consent(true))
    expect(await now()).toBe(false)
    await take(consent(true, ago(30)))
    expect(await now()).toBe(false)
    await take(consent(true, ago(0)))
    expect(await now()).toBe(true)
  })

  test('two names with one address are two, joined because they share it, and each goes its own way again', async () => {
    const email = 'family@feld.example'
    await take({
      customers: [
        { name: 'Bastian Feld', email },
        { name: 'Mara Feld', email },
      ],
    })
    await settled(world)
    const [row, ...more] = await people('named=feld&visited=any')
    expect([row, more]).toEqual([undefined, []])
    const { db } = world.server.context
    const feld = await db.rows<{ id: number; shown: number }>(
      `SELECT id, shown_as AS shown FROM people WHERE name LIKE '% Feld' ORDER BY id`,
    )
    expect(new Set(feld.map(({ shown }) => shown)).size).toBe(1)
    const { joins } = await card(feld[0]!.id)
    expect(joins).toMatchObject([{ reasons: [{ kind: 'email', value: email }], by: null }])
    await specialist('POST', `/api/people/joins/${joins[0]!.id}/undo`)
    expect((await card(feld[1]!.id)).name).toBe('Mara Feld')
  })

  test('visits go with whoever is joined, and come back when it is undone', async () => {
    await take({
      customers: [
        {
          reference: 'C9',
          name: 'Hanne Vik',
          email: 'hanne@vik.example',
          visit: { reference: 'SK9', at: ago(1) },
        },
      ],
    })
    const thread = await writes('hanne@vik.example', 'We waited for two hours yesterday.')
    const [row] = await people('named=hanne')
    expect(row).toMatchObject({ said: 1, visits: { latest: { state: 'booked' } } })
    const { joins } = await card(row!.id)
    const { body } = await specialist<ThreadVisitsAnswer>('GET', `/api/threads/${thread}/visits`)
    expect(body.proposals).toMatchObject([
      { visit: { reference: 'SK9' }, reasons: [{ kind: 'near', days: 1 }] },
    ])
    await specialist('POST', `/api/people/joins/${joins[0]!.id}/undo`)
    expect((await people('named=hanne'))[0]).toMatchObject({ visits: { done: 0, latest: null } })
    expect(
      (await specialist<ThreadVisitsAnswer>('GET', `/api/threads/${thread}/visits`)).body.proposals,
    ).toEqual([])
  })

  test.each<[string, object, string]>([
    ['nobody', { name: 'Nobody' }, 'customers[0]'],
    ['no phone', { reference: 'x', phone: '07700' }, 'customers[0].phone'],
    [
      'no place of ours',
      { reference: 'x', visit: { reference: 'v', at: ago(1), place: 'Atlantis' } },
      'customers[0].visit.place',
    ],
    ['no time', { reference: 'x', visit: { reference: 'v', at: 'soon' } }, 'customers[0].visit.at'],
    ['no visit of its own', { reference: 'x', visit: { at: ago(1) } }, 'customers[0].visit.reference'],
  ])('%s is refused by its field, and nothing of the call is taken', async (_, customer, field) => {
    const { status, body } = await take({ customers: [{ reference: 'good', name: 'Good One' }, customer] })
    expect([status, body.fields?.[0]?.field]).toEqual([422, field.replace('[0]', '[1]')])
    const { db } = world.server.context
    expect(await db.rows(`SELECT 1 FROM people WHERE name = 'Good One'`)).toEqual([])
  })
})

describe('by hand', () => {
  test('a person is noted, tagged, given a visit that is changed and taken away again', async () => {
    const made = await specialist<PersonCard>('POST', '/api/people', {
      name: 'Sunniva Brandt',
      phone: '+44 7700 900155',
      note: 'Met at the quay',
    })
    expect(made).toMatchObject({
      status: 200,
      body: { name: 'Sunniva Brandt', said: 0, ways: [{ value: '+447700900155' }] },
    })
    const { id } = made.body
    await specialist('PUT', `/api/people/${id}`, { tags: ['Regular', 'partner school'] })
    const tags = async () => (await card(id)).tags
    expect(await tags()).toHaveLength(2)
    await specialist('PUT', `/api/people/${id}`, { tags: ['regular'] })
    expect(await tags()).toHaveLength(1)
    const { db } = world.server.context
    expect(await db.rows(`SELECT name FROM tags WHERE name = 'partner school'`)).toEqual([])
    const visit = await specialist<Visit>('POST', `/api/people/${id}/visits`, {
      at: ago(1),
      route: 'Selwick Quay to Inchgarth',
      placeId: elsewhere.id,
      price: 12,
    })
    expect(visit.body).toMatchObject({ state: 'done', reference: null, currency: null, source: 'hand' })
    const path = `/api/people/${id}/visits/${visit.body.id}`
    expect(
      (
        await specialist<Visit>('PUT', path, {
          edition: 1,
          at: ago(1),
          state: 'failed',
          placeId: elsewhere.id,
        })
      ).body.state,
    ).toBe('failed')
    expect((await specialist<Problem>('PUT', path, { edition: 1, at: ago(1) })).body.code).toBe(
      'changedMeanwhile',
    )
    // Who sees one place knows of nobody who visited another, and of no visit there.
    expect((await manager('GET', `/api/people/${id}`)).status).toBe(404)
    await specialist('POST', `/api/people/${id}/visits`, { at: ago(2), placeId: managed.id, reference: 'H1' })
    expect((await card(id, manager)).visits).toMatchObject([{ reference: 'H1' }])
    expect((await people('visited=yes', manager)).map((row) => row.id)).toEqual([id])
    expect((await manager('DELETE', path)).status).toBe(404)
    expect(
      (await manager<Problem>('POST', `/api/people/${id}/visits`, { at: ago(1), placeId: elsewhere.id }))
        .status,
    ).toBe(404)
    expect((await specialist('DELETE', path)).status).toBe(204)
    expect(
      (await specialist<Problem>('POST', `/api/people/${id}/visits`, { at: ago(2), reference: 'H1' })).body
        .code,
    ).toBe('visitKnown')
  })
})

describe('what is noted of people who are joined', () => {
  const change = (id: number, body: object) => specialist('PUT', `/api/people/${id}`, body)

  test('is shown of either, called by the best name, and each has their own again when they part', async () => {
    await writes('+lind@letters.example', 'Is the gate open?')
    const { db } = world.server.context
    const wrote = (await db.one<{ id: number }>(
      `SELECT person_id AS id FROM accounts WHERE outside_id = '+lind@letters.example'`,
    ))!.id
    const made = await specialist<PersonCard>('POST', '/api/people', {
      name: 'Lind Aavik',
      email: '+lind@letters.example',
      note: 'Comes with a cello',
    })
    await settled(world)
    const shown = await card(wrote)
    expect(shown).toMatchObject({ name: 'Lind Aavik', note: 'Comes with a cello' })
    expect(shown.members).toHaveLength(2)
    // What is said of one thing does not write down what was only shown of the other.
    await change(wrote, { standing: 'partner' })
    const own = (id: number) =>
      db.one<{ note: string; standing: string | null }>('SELECT note, standing FROM people WHERE id = $1', [
        id,
      ])
    expect(await own(wrote)).toEqual({ note: '', standing: 'partner' })
    await specialist('POST', `/api/people/joins/${shown.joins[0]!.id}/undo`)
    expect((await card(wrote)).note).toBe('')
    expect(await card(made.body.id)).toMatchObject({
      name: 'Lind Aavik',
      note: 'Comes with a cello',
      standing: null,
    })
  })

  test('what is emptied stays empty, whoever it was noted of', async () => {
    const [one, other] = await Promise.all(
      ['Mo Vance', 'Mo Vance-Tarn'].map(
        async (name) =>
          (await specialist<PersonCard>('POST', '/api/people', { name, note: `Note of ${name}` })).body.id,
      ),
    )
    await specialist('POST', '/api/people/joins', { one, other })
    const shown = Math.min(one!, other!)
    await change(shown, { note: '' })
    expect((await card(shown)).note).toBe('')
    await change(shown, { name: 'Moira Vance' })
    expect((await card(shown)).name).toBe('Moira Vance')
  })
})

describe('which visit a thread is about', () => {
  test('is proposed with reasons, said, said otherwise and taken back', async () => {
    const email = 'anselm@rook.example'
    const visit = (reference: string, days: number, ship: string) => ({
      customers: [
        {
          reference: 'C20',
          name: 'Anselm Rook',
          email,
          visit: { reference, at: ago(days), ship, place: elsewhere.name },
        },
      ],
    })
    await take(visit('SK20', 12, 'Grey Heron'))
    await take(visit('SK21', 14, 'Storm Petrel'))
    const thread = await writes(email, 'The galley of the Storm Petrel was shut all the way.')
    const path = `/api/threads/${thread}/visits`
    const ask = async () => (await specialist<ThreadVisitsAnswer>('GET', path)).body
    const { proposals } = await ask()
    expect(proposals.map(({ visit: { reference } }) => reference)).toEqual(['SK21', 'SK20'])
    expect(proposals[0]!.reasons).toMatchObject([
      { kind: 'near', days: 14 },
      { kind: 'ship', ship: 'Storm Petrel' },
      { kind: 'place', place: elsewhere.id },
    ])
    const [first, second] = proposals.map(({ visit: { id } }) => id)
    const say = (id: number, belongs: boolean | null) =>
      specialist<ThreadVisitsAnswer>('PUT', `${path}/${id}`, { belongs })
    expect((await say(second!, false)).body.proposals.map(({ visit: { id } }) => id)).toEqual([first])
    expect((await say(first!, true)).body).toMatchObject({ visit: { id: first }, proposals: [] })
    expect((await say(second!, true)).body.visit?.id).toBe(second)
    expect((await say(second!, null)).body).toMatchObject({ visit: null })
    expect((await ask()).proposals).toHaveLength(2)
    expect((await manager('GET', path)).status).toBe(404)
    expect((await say(999_999, true)).status).toBe(404)
  })
})

describe('a table of customers', () => {
  async function bringIn(kind: string, document: string, body: object): Promise<ImportState> {
    const { body: draft } = await specialist<ImportState>(
      'POST',
      `/api/imports?kind=${kind}&name=x.csv`,
      document,
    )
    const started = await specialist<ImportState & Problem>('POST', `/api/imports/${draft.id}/start`, body)
    if (started.status !== 200) throw new Error(JSON.stringify(started.body))
    const done = await until(async () => {
      const { body: state } = await specialist<ImportState>('GET', `/api/imports/${draft.id}`)
      return state.state !== 'running' && state
    })
    await settled(world)
    return done
  }
  const csv =
    'No,Name,Mail,When,Ref\n1,Iso Kell,iso@kell.example,2026-03-04,K1\n1,Iso Kell,iso@kell.example,2026-03-09,K2\n2,Ulf Tarn,,2026-03-04,K3\n,No Number,broken,2026-03-04,\n'
  const none = Object.fromEntries(customerColumns.map((name) => [name, null]))
  const customers = { ...none, reference: 'No', name: 'Name', email: 'Mail', at: 'When', visit: 'Ref' }

  test('is taken in with progress, bad rows named; the same file again changes nothing', async () => {
    expect(await bringIn('customers', csv, { customers })).toMatchObject({
      state: 'draft',
      refused: 1,
      problems: [{ line: 5, reason: 'rowEmail' }],
    })
    expect(await bringIn('customers', csv, { customers, anyway: true })).toMatchObject({
      state: 'done',
      added: 3,
      known: 0,
      refused: 1,
    })
    expect(await bringIn('customers', csv, { customers, anyway: true })).toMatchObject({
      state: 'done',
      added: 0,
      known: 3,
    })
    const [row] = await people('named=kell&visited=yes')
    expect(row).toMatchObject({ name: 'Iso Kell', visits: { done: 2 } })
  })

  test('an unknown column is named, and so is a table that tells nobody', async () => {
    await expect(bringIn('customers', csv, { customers: { ...customers, email: 'Post' } })).rejects.toThrow(
      'The table has no column',
    )
    const state = await bringIn('customers', csv, { customers: { ...none, name: 'Name' } })
    expect(state).toMatchObject({ state: 'draft', error: expect.stringContaining('Say which column') })
  })

  test('cards come in as people, and what went out as cards comes in as the same', async () => {
    const cards =
      'BEGIN:VCARD\r\nVERSION:4.0\r\nUID:u1\r\nFN:Wim Aalto\r\nEMAIL:wim@aalto.example\r\nEND:VCARD\r\n'
    expect(await bringIn('cards', cards, {})).toMatchObject({ state: 'done', added: 1 })
    expect(await bringIn('cards', cards, {})).toMatchObject({ added: 0, known: 1 })
    await writes('wim@aalto.example', 'Hello')
    expect(await people('named=aalto')).toMatchObject([{ said: 1 }])
  })
})
