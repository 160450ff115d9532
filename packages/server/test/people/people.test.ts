import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type {
  PeopleAnswer,
  PersonCard,
  PersonWay,
  Problem,
  ProposalsAnswer,
  ThreadAnswer,
} from '@murrabel/contract'
import type { CollectedItem } from '../../src/connectors/index.ts'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { totalsApart } from '../support/totals.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let owner: Caller
let specialist: Caller
let manager: Caller
let reader: Caller
const profiles: Record<string, IngestProfile> = {}
let nth = 0

beforeAll(async () => {
  world = await startTestWorld()
  ;[owner, specialist, manager, reader] = (await Promise.all(
    (['wynn', 'tamsin', 'ness', 'rowan'] as const).map((who) => world.signIn(who)),
  )) as [Caller, Caller, Caller, Caller]
  const { db } = world.server.context
  const place = async (name: string) =>
    (await db.one<{ id: number }>('SELECT id FROM places WHERE name = $1', [name]))!.id
  const managed = (await db.one<{ place: number }>(
    `SELECT m.place_ids[1] AS place FROM memberships m JOIN colleagues c ON c.id = m.colleague_id WHERE c.email LIKE 'ness@%'`,
  ))!.place
  const elsewhere = (await db.one<{ id: number }>(
    'SELECT id FROM places WHERE id <> $1 ORDER BY id LIMIT 1',
    [managed],
  ))!.id
  expect(await place('Port Ellery')).toBeGreaterThan(0)
  for (const [name, channel, network, placeId] of [
    ['maps', 'maps', 'wherabout', managed],
    ['photos', 'photos', 'framelet', managed],
    ['post', 'email', 'email', elsewhere],
    ['other', 'email', 'email', elsewhere],
    ['texts', 'texts', 'textmast', elsewhere],
  ] as const)
    profiles[name] = (await db.one<IngestProfile>(
      `INSERT INTO profiles (brand_id, place_id, channel, network, outside_id, name, status, hook_token)
       VALUES (1, $1, $2, $3, $4, $4, 'expired', $4)
       RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
      [placeId, channel, network, name],
    ))!
}, 150_000)
afterAll(() => world.stop())

async function says(
  profile: string,
  author: CollectedItem['author'],
  text: string,
  at = Date.now() - 3_600_000,
): Promise<void> {
  const id = `${profile}-${++nth}`
  await ingest(world.server.context, profiles[profile]!, [
    { outsideId: id, threadId: id, kind: 'message', direction: 'in', author, text, at, raw: {} },
  ])
  await settled(world)
}
const people = async (query: string, call = specialist) =>
  (await call<PeopleAnswer>('GET', `/api/people?${query}`)).body
const called = async (name: string, call = specialist) => {
  const { rows } = await people(`named=${encodeURIComponent(name)}`, call)
  return rows
}
const card = async (id: number, call = specialist) =>
  (await call<PersonCard>('GET', `/api/people/${id}`)).body

describe('who is the same', () => {
  test('whoever writes from one address or number to several profiles is one person, and it leaves a trace', async () => {
    await says('post', { outsideId: 'Anselm@Rook.example', name: 'Anselm Rook' }, 'Where is my bag?')
    await says('other', { outsideId: 'anselm@rook.example', name: 'A. Rook' }, 'I wrote about my bag.')
    const rows = await called('rook')
    expect(rows).toMatchObject([{ name: 'Anselm Rook', said: 2, networks: ['email'] }])
    const found = await card(rows[0]!.id)
    expect(found.ways).toMatchObject([{ kind: 'email', value: 'anselm@rook.example', consent: null }])
    expect(found.members).toHaveLength(2)
    expect(found.joins).toMatchObject([
      { reasons: [{ kind: 'email', value: 'anselm@rook.example' }], by: null },
    ])
    const { db } = world.server.context
    expect(
      await db.rows(
        `SELECT actor FROM events WHERE kind = 'joinPeople' AND subject = 'person' AND subject_id = $1`,
        [rows[0]!.id],
      ),
    ).toEqual([{ actor: 'system' }])
  })

  test('a certain join can be undone, and nobody makes it again unasked', async () => {
    const [row] = await called('rook')
    const { joins } = await card(row!.id)
    expect((await specialist('POST', `/api/people/joins/${joins[0]!.id}/undo`)).status).toBe(204)
    expect(await called('rook')).toHaveLength(2)
    await says('other', { outsideId: 'anselm@rook.example', name: 'Anselm R. Rook' }, 'Still no bag.')
    expect(await called('rook')).toHaveLength(2)
    const again = await specialist<Problem>('POST', `/api/people/joins/${joins[0]!.id}/undo`)
    expect(again).toMatchObject({ status: 409, body: { code: 'joinUndone' } })
  })

  test('alike names with an occasion in common are proposed with the reasons, and joined only by a person', async () => {
    const when = Date.now() - 20 * 86_400_000
    await says(
      'maps',
      { outsideId: 'w-oakes', name: 'Perrin Oakes' },
      'Ninety minutes in the Dunmarrow carlane, nobody told us.',
      when,
    )
    await says(
      'photos',
      { outsideId: 'f-oakes', name: 'p_oakes', handle: 'p_oakes' },
      'The carlane at Dunmarrow this morning',
      when + 3_600_000,
    )
    const { proposals } = (await specialist<ProposalsAnswer>('GET', '/api/people/proposals')).body
    const proposal = proposals.find(({ one, other }) => [one.name, other.name].includes('Perrin Oakes'))!
    expect(proposal.likeness).toBeGreaterThan(0.9)
    expect(proposal.reasons.map(({ kind }) => kind)).toEqual(['names', 'topic', 'place'])
    expect(await called('oakes')).toHaveLength(2)

    const { one, other } = { one: proposal.one.id, other: proposal.other.id }
    const before = await Promise.all([card(one), card(other)])
    const joined = await specialist<{ person: number; join: number }>('POST', '/api/people/joins', {
      one,
      other,
    })
    expect(joined).toMatchObject({ status: 200, body: { person: Math.min(one, other) } })
    const rows = await called('oakes')
    expect(rows).toMatchObject([{ id: Math.min(one, other), said: 2, networks: ['framelet', 'wherabout'] }])
    expect(await card(other)).toMatchObject({ id: Math.min(one, other), said: 2 })
    expect((await card(one)).joins).toMatchObject([{ by: 'Tamsin Kerr', reasons: proposal.reasons }])
    expect(await specialist<Problem>('POST', '/api/people/joins', { one, other })).toMatchObject({
      status: 409,
      body: { code: 'samePerson' },
    })

    await specialist('POST', `/api/people/joins/${joined.body.join}/undo`)
    const after = await Promise.all([card(one), card(other)])
    const unchanged = (person: PersonCard) => ({ ...person, edition: 0 })
    expect(after.map(unchanged)).toEqual(before.map(unchanged))
  })

  test('two who are said not to be the same are proposed no more, and are apart whatever had joined them', async () => {
    const [one, other] = (await called('oakes')).map(({ id }) => id)
    await specialist('POST', '/api/people/joins', { one, other })
    expect(await called('oakes')).toHaveLength(1)
    expect((await specialist('POST', '/api/people/apart', { one, other })).status).toBe(204)
    expect(await called('oakes')).toHaveLength(2)
    const { proposals } = (await specialist<ProposalsAnswer>('GET', '/api/people/proposals')).body
    expect(proposals.filter((each) => [each.one.id, each.other.id].includes(one!))).toEqual([])
    // A person may change their mind: they are proposed again, or joined.
    expect((await specialist('POST', '/api/people/apart/undo', { one, other })).status).toBe(204)
    const again = (await specialist<ProposalsAnswer>('GET', '/api/people/proposals')).body.proposals
    expect(again.filter((each) => [each.one.id, each.other.id].includes(one!))).toHaveLength(1)
    expect((await specialist('POST', '/api/people/apart/undo', { one, other: one })).status).not.toBe(500)
    await specialist('POST', '/api/people/apart', { one, other })
    expect((await specialist('POST', '/api/people/joins', { one, other })).status).toBe(200)
    const { joins } = await card(one!)
    await specialist('POST', `/api/people/joins/${joins[0]!.id}/undo`)
  })

  test('a ring of joins is one person until the last way between two is undone', async () => {
    for (const n of [1, 2, 3])
      await says('maps', { outsideId: `ring-${n}`, name: `Ringer Number${n}` }, `Ring ${n}`)
    const ids = (await called('ringer')).map(({ id }) => id).sort((a, b) => a - b) as [number, number, number]
    await specialist('POST', '/api/people/joins', { one: ids[0], other: ids[1] })
    await specialist('POST', '/api/people/joins', { one: ids[1], other: ids[2] })
    expect((await specialist('POST', '/api/people/joins', { one: ids[2], other: ids[0] })).status).toBe(409)
    expect(await called('ringer')).toMatchObject([{ id: ids[0], said: 3 }])
    expect((await specialist('POST', '/api/people/apart', { one: ids[0], other: ids[2] })).status).toBe(204)
    expect((await called('ringer')).map(({ id, said }) => [id, said]).sort()).toEqual(
      [
        [ids[0], 2],
        [ids[2], 1],
      ].sort(),
    )
  })
})

describe('what is known of them', () => {
  test('name, standing, note and language; the earlier edition is refused, and what was said of them stands in the log', async () => {
    const [row] = await called('hester')
    expect(row).toBeUndefined()
    await says('maps', { outsideId: 'hq', name: 'hq_61', handle: 'hq_61' }, 'Best bacon roll on any water.')
    const [found] = await called('hq_61')
    const before = await card(found!.id)
    const changed = await specialist<PersonCard>('PUT', `/api/people/${found!.id}`, {
      edition: before.edition,
      name: 'Hester Quill',
      standing: 'customer',
      note: 'Season ticket',
      language: 'en',
    })
    expect(changed.body).toMatchObject({
      name: 'Hester Quill',
      named: true,
      standing: 'customer',
      note: 'Season ticket',
    })
    expect(
      await specialist<Problem>('PUT', `/api/people/${found!.id}`, { edition: before.edition, note: 'x' }),
    ).toMatchObject({ status: 409, body: { code: 'changedMeanwhile' } })
    await settled(world)
    expect(await called('hester')).toMatchObject([{ id: found!.id, standing: 'customer' }])
    // As on the network again.
    await specialist('PUT', `/api/people/${found!.id}`, { name: '' })
    await settled(world)
    expect(await called('hq_61')).toMatchObject([{ id: found!.id, name: 'hq_61' }])
  })

  test('a voice and its person have one standing', async () => {
    const [row] = await called('hq_61')
    const { accounts } = await card(row!.id)
    const voice = await specialist<{ standing: string; note: string; person: number }>(
      'GET',
      `/api/voices/${accounts[0]!.id}`,
    )
    expect(voice.body).toMatchObject({ standing: 'customer', note: 'Season ticket', person: row!.id })
    await specialist('PUT', `/api/voices/${accounts[0]!.id}`, { standing: 'partner' })
    expect(await card(row!.id)).toMatchObject({ standing: 'partner', note: 'Season ticket' })
  })

  test('an address that is added joins whom it belongs to; consent says when and how', async () => {
    const [row] = await called('hq_61')
    await says(
      'texts',
      { outsideId: '+447700900142', name: '+447700900142' },
      'Is the Saturday boat back to normal?',
    )
    const [texter] = await called('07700 900142')
    expect(texter).toMatchObject({ name: '+447700900142' })
    const refused = await specialist<Problem>('POST', `/api/people/${row!.id}/ways`, {
      kind: 'phone',
      value: '4.47E+11',
    })
    expect(refused).toMatchObject({ status: 422, body: { fields: [{ field: 'value', code: 'noPhone' }] } })
    const added = await specialist<PersonWay>('POST', `/api/people/${row!.id}/ways`, {
      kind: 'phone',
      value: '0044 7700 900142',
      consent: true,
      consentHow: 'said so when booking',
    })
    expect(added.body).toMatchObject({
      value: '+447700900142',
      consent: true,
      consentHow: 'said so when booking',
    })
    expect(Date.now() - Date.parse(added.body.consentAt!)).toBeLessThan(60_000)
    await settled(world)
    expect(await card(row!.id)).toMatchObject({ id: Math.min(row!.id, texter!.id), said: 2 })
    const taken = await specialist<PersonWay>('PUT', `/api/people/${row!.id}/ways/${added.body.id}`, {
      kind: 'phone',
      value: '+447700900142',
      consent: false,
      consentHow: 'by telephone',
    })
    expect(taken.body).toMatchObject({ consent: false, consentHow: 'by telephone' })
    expect((await specialist('DELETE', `/api/people/${row!.id}/ways/${added.body.id}`)).status).toBe(204)
    expect((await specialist('DELETE', `/api/people/${row!.id}/ways/${added.body.id}`)).status).toBe(404)
  })

  test('the thread tells of the whole person', async () => {
    await says('post', { outsideId: 'odile@marchetaux.example', name: 'Odile Marchetaux' }, 'Un mot : merci.')
    await says('other', { outsideId: 'odile@marchetaux.example', name: 'Odile M.' }, 'Et une question.')
    const [row] = await called('marchetaux')
    const { entries } = await card(row!.id)
    const thread = await specialist<ThreadAnswer>('GET', `/api/threads/${entries[0]!.threadId}`)
    expect(thread.body.person).toMatchObject({ id: row!.id, count: 2, before: [{ text: 'Un mot : merci.' }] })
  })
})

describe('who sees whom', () => {
  test('whoever is limited to a place knows those who wrote there, and of them what they wrote there', async () => {
    const [row] = await called('rook')
    expect((await manager('GET', `/api/people/${row!.id}`)).status).toBe(404)
    expect(await called('rook', manager)).toEqual([])
    const [texter] = await called('hq_61', manager)
    // Two were joined: one of them wrote elsewhere.
    expect(await card(texter!.id, manager)).toMatchObject({
      said: 1,
      entries: [{ text: 'Best bacon roll on any water.' }],
    })
    expect(await card(texter!.id, owner)).toMatchObject({ said: 2 })
  })

  test('who only reads changes nothing', async () => {
    const [row] = await called('rook')
    expect((await reader('PUT', `/api/people/${row!.id}`, { note: 'x' })).status).toBe(403)
    expect((await reader('POST', '/api/people/joins', { one: 1, other: 2 })).status).toBe(403)
  })
})

test('at the end, what is kept of each person is what a count gives', async () => {
  expect(await totalsApart(world.server.context.db)).toEqual([])
})
