import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { Absence, BrandAnswer, Problem, Team, ThreadAnswer } from '@murrabel/contract'
import { changeAbsence } from '../../src/services/absences/index.ts'
import { startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { until } from '../support/until.ts'
import type { Caller } from '../support/world.ts'

let world: ConnectedWorld
let owner: Caller
let tamsin: Caller
let brand: BrandAnswer
const idOf = (name: string) => brand.colleagues.find((each) => each.name.startsWith(name))!.id
const dayAhead = (n: number) => new Date(Date.now() + n * 86_400_000).toISOString().slice(0, 10)

beforeAll(async () => {
  world = await startConnectedWorld()
  owner = await world.signIn('wynn')
  tamsin = world.specialist
  brand = (await owner<BrandAnswer>('GET', '/api/brand')).body
}, 150_000)
afterAll(() => world.stop())

const threads = () =>
  world.server.context.db.rows<{ id: number; to: number | null; placeId: number | null }>(
    `SELECT id, given_to AS "to", place_id AS "placeId" FROM threads WHERE brand_id = 1 AND state <> 'done' ORDER BY id`,
  )
const giveAll = (to: number) =>
  world.server.context.db.rows(`UPDATE threads SET given_to = $1 WHERE brand_id = 1 AND state <> 'done'`, [
    to,
  ])
const away = (draft: object, call = tamsin) => call<Absence & Problem>('PUT', '/api/me/absence', draft)
const back = (call = tamsin) => call('DELETE', '/api/me/absence')

describe('an absence', () => {
  test('of days that are over, turned round, too long or no days is refused', async () => {
    for (const [draft, code] of [
      [{ from: dayAhead(-5), until: dayAhead(-3) }, 'awayOver'],
      [{ from: dayAhead(4), until: dayAhead(2) }, 'awayOver'],
      [{ from: dayAhead(1), until: dayAhead(500) }, 'awayLong'],
      [{ from: '2026-02-30', until: '2026-03-02' }, 'invalid'],
      [{ from: 'tomorrow', until: '' }, 'invalid'],
      [{ from: dayAhead(1), until: dayAhead(2), takeOver: idOf('Tamsin') }, 'takerAway'],
      [{ from: dayAhead(1), until: dayAhead(2), takeOver: idOf('Rowan') }, 'takerAway'],
      [{ from: dayAhead(1), until: dayAhead(2), takeOver: 9999 }, 'notFound'],
      [{ from: dayAhead(1), until: dayAhead(2), team: 9999 }, 'notFound'],
    ] as const)
      expect([(await away(draft)).body.code, draft]).toEqual([code, draft])
    expect((await owner<Absence[]>('GET', '/api/absences')).body).toEqual([])
  })

  test('that begins today shares open threads out at once, and gives back what is still open', async () => {
    await giveAll(idOf('Tamsin'))
    const before = await threads()
    expect(before.length).toBeGreaterThan(3)
    const said = await away({ from: dayAhead(0), until: dayAhead(3), takeOver: idOf('Wynn') })
    expect(said.body).toMatchObject({ takeOver: idOf('Wynn'), team: null, begun: true })
    expect(new Set((await threads()).map(({ to }) => to))).toEqual(new Set([idOf('Wynn')]))
    const shown = (await owner<BrandAnswer>('GET', '/api/brand')).body.colleagues
    expect(shown.find(({ id }) => id === idOf('Tamsin'))!.awayUntil).toBe(dayAhead(3))
    const events = (await owner<ThreadAnswer>('GET', `/api/threads/${before[0]!.id}`)).body
    expect(JSON.stringify(events)).toContain('"cover"')
    // One is finished, one given on by hand: neither comes back.
    const [finished, onward] = before
    await owner('POST', `/api/threads/${finished!.id}/events`, { kind: 'finish' })
    await owner('PUT', `/api/threads/${onward!.id}/given`, { to: null })
    expect((await back()).status).toBe(204)
    const after = await threads()
    expect(after.find(({ id }) => id === onward!.id)!.to).toBeNull()
    expect(new Set(after.filter(({ id }) => id !== onward!.id).map(({ to }) => to))).toEqual(
      new Set([idOf('Tamsin')]),
    )
    expect((await back()).status).toBe(404)
    await owner('POST', `/api/threads/${finished!.id}/events`, { kind: 'reopen' })
  })

  test('goes by what whoever takes over may see; the rest is for those who may', async () => {
    await giveAll(idOf('Tamsin'))
    await away({ from: dayAhead(0), until: dayAhead(1), takeOver: idOf('Ness') })
    const after = await threads()
    expect(after.some(({ placeId }) => placeId === 2)).toBe(true)
    for (const { placeId, to } of after)
      if (placeId === 2) expect(to).toBe(idOf('Ness'))
      else expect([idOf('Wynn')]).toContain(to)
    await back()
  })

  test('begins and ends by itself, once, whoever looks how often', async () => {
    await giveAll(idOf('Tamsin'))
    await away({ from: dayAhead(2), until: dayAhead(3), takeOver: idOf('Wynn') })
    const { db } = world.server.context
    const { last } = (await db.one<{ last: number }>('SELECT max(id) AS last FROM events'))!
    const at = (days: number) => ({ ...world.server.context, now: () => Date.now() + days * 86_400_000 })
    const subject = `1 ${idOf('Tamsin')}`
    expect(await changeAbsence(at(0), { subject })).toMatchObject({ againInMs: expect.any(Number) as number })
    expect(new Set((await threads()).map(({ to }) => to))).toEqual(new Set([idOf('Tamsin')]))
    // The database asks its own clock who is there: so the days are moved, not the clock.
    await db.rows(`UPDATE absences SET from_at = now() - interval '1 minute'`)
    await Promise.all([changeAbsence(at(0), { subject }), changeAbsence(at(0), { subject })])
    expect(new Set((await threads()).map(({ to }) => to))).toEqual(new Set([idOf('Wynn')]))
    const events = await db.rows(`SELECT 1 AS told FROM events WHERE kind = 'cover' AND id > $1`, [last])
    expect(events).toHaveLength((await threads()).length)
    await Promise.all([changeAbsence(at(9), { subject }), changeAbsence(at(9), { subject })])
    expect(new Set((await threads()).map(({ to }) => to))).toEqual(new Set([idOf('Tamsin')]))
    expect((await owner<Absence[]>('GET', '/api/absences')).body).toEqual([])
    expect(await changeAbsence(at(9), { subject })).toBe('done')
  })

  test('what a customer says meanwhile goes to whoever takes over', async () => {
    const { id } = await world.threadOf('lost a green rucksack')
    await giveAll(idOf('Tamsin'))
    await owner('POST', `/api/threads/${id}/events`, { kind: 'finish' })
    await away({ from: dayAhead(0), until: dayAhead(1), takeOver: idOf('Wynn') })
    world.lanternpage.state.add({
      op: 'note',
      id: 'again',
      page: 'skerrivane',
      author: { id: 'bastian', name: 'Bastian Feld', handle: 'bastian' },
      content: 'Any news of it?',
      published: new Date().toISOString(),
      conversation: 'skerrivane-bastian',
    })
    const profiles = (await owner<{ id: number; network: string }[]>('GET', '/api/profiles')).body
    await owner('POST', `/api/profiles/${profiles.find((p) => p.network === 'lanternpage')!.id}/collect`)
    await until(async () => (await threads()).some((each) => each.id === id))
    expect((await threads()).find((each) => each.id === id)!.to).toBe(idOf('Wynn'))
    await back()
    expect((await threads()).find((each) => each.id === id)!.to).toBe(idOf('Tamsin'))
  })

  test('of somebody else is for those who set up', async () => {
    const days = { from: dayAhead(1), until: dayAhead(2) }
    const path = `/api/set-up/colleagues/${idOf('Tamsin')}/absence`
    expect((await tamsin('PUT', path, days)).status).toBe(403)
    expect((await owner<Absence>('PUT', path, days)).body).toMatchObject({ ...days, begun: false })
    // Whoever is away takes over for nobody.
    expect((await away({ ...days, takeOver: idOf('Tamsin') }, owner)).body.code).toBe('takerAway')
    expect((await owner('DELETE', path)).status).toBe(204)
  })
})

describe('a team', () => {
  let team: Team
  test('has a name of its own and members who work here', async () => {
    const add = (draft: object) => owner<Team & Problem>('POST', '/api/set-up/teams', draft)
    expect((await add({ name: ' ', members: [] })).status).toBe(422)
    expect((await add({ name: 'Quays', members: [9999] })).status).toBe(404)
    team = (await add({ name: 'Quays', members: [idOf('Tamsin'), idOf('Ness')] })).body
    expect(team).toMatchObject({
      name: 'Quays',
      members: [idOf('Tamsin'), idOf('Ness')].sort((a, b) => a - b),
    })
    expect((await add({ name: 'QUAYS', members: [] })).body.code).toBe('teamNameTaken')
    expect((await owner<BrandAnswer>('GET', '/api/brand')).body.teams).toEqual([team])
    expect((await tamsin('POST', '/api/set-up/teams', { name: 'x', members: [] })).status).toBe(403)
  })
  test('shares a thread out: whoever of it is there, may see it and has the fewest', async () => {
    await giveAll(idOf('Tamsin'))
    const give = (id: number) =>
      owner<ThreadAnswer & Problem>('PUT', `/api/threads/${id}/given`, {
        to: null,
        team: team.id,
        share: true,
      })
    const all = await threads()
    const atNess = all.find(({ placeId }) => placeId === 2)!
    const elsewhere = all.find(({ placeId }) => placeId !== 2)!
    await give(atNess.id)
    await give(elsewhere.id)
    const after = await threads()
    expect(after.find(({ id }) => id === atNess.id)!.to).toBe(idOf('Ness'))
    expect(after.find(({ id }) => id === elsewhere.id)!.to).toBe(idOf('Tamsin'))
    await away({ from: dayAhead(0), until: dayAhead(0) })
    expect((await give(elsewhere.id)).body.code).toBe('nobodyThere')
    await back()
  })
  test('takes over for somebody, and what it cannot see goes to those who can', async () => {
    await giveAll(idOf('Wynn'))
    await away({ from: dayAhead(0), until: dayAhead(0), team: team.id }, owner)
    for (const { placeId, to } of await threads())
      expect(placeId === 2 ? [idOf('Tamsin'), idOf('Ness')] : [idOf('Tamsin')]).toContain(to)
    await back(owner)
  })
  test('is removed; whoever left the brand is in none', async () => {
    const { db } = world.server.context
    await db.rows('DELETE FROM memberships WHERE colleague_id = $1', [idOf('Ness')])
    expect((await owner<BrandAnswer>('GET', '/api/brand')).body.teams[0]!.members).toEqual([idOf('Tamsin')])
    expect((await owner('DELETE', `/api/set-up/teams/${team.id}`)).status).toBe(204)
    expect((await owner<BrandAnswer>('GET', '/api/brand')).body.teams).toEqual([])
  })
})
