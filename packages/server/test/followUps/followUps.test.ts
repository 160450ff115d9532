import ICAL from 'ical.js'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { followUpPredicate } from '@murrabel/core/lens'
import type { FollowUp, FollowUpDraft, FollowUpsAnswer, PersonCard, Problem } from '@murrabel/contract'
import { followUpLensArbitrary } from '../../../core/test/lens/lensArbitrary.ts'
import type { Reader } from '../../src/access/reader.ts'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { followUpPage, keyAfter } from '../../src/store/queries/followUps/followUps.ts'
import { parseTimeKey, printTimeKey } from '../../src/store/queries/shared/timeKey.ts'
import { context as lensContext } from '../support/lensEntries.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let specialist: Caller
let manager: Caller
let reader: Caller
/** Threads of the manager's place, and of another. */
let threads: [number, number]
let me: number

beforeAll(async () => {
  world = await startTestWorld()
  ;[specialist, manager, reader] = (await Promise.all(
    (['tamsin', 'ness', 'rowan'] as const).map((who) => world.signIn(who)),
  )) as [Caller, Caller, Caller]
  const { db } = world.server.context
  const managed = (await db.one<{ place: number }>(
    `SELECT m.place_ids[1] AS place FROM memberships m JOIN colleagues c ON c.id = m.colleague_id WHERE c.email LIKE 'ness@%'`,
  ))!.place
  const other = (await db.one<{ id: number }>('SELECT id FROM places WHERE id <> $1 ORDER BY id LIMIT 1', [
    managed,
  ]))!.id
  const found = []
  for (const [i, place] of [managed, other].entries()) {
    const profile = (await db.one<IngestProfile>(
      `INSERT INTO profiles (brand_id, place_id, channel, network, outside_id, name, status, hook_token)
       VALUES (1, $1, 'photos', 'framelet', $2, $2, 'connected', $2)
       RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
      [place, `photos-${i}`],
    ))!
    await ingest(world.server.context, profile, [
      {
        outsideId: `e${i}`,
        threadId: `t${i}`,
        kind: 'message',
        direction: 'in',
        author: { outsideId: 'same', name: 'Bastian Feld' },
        text: 'We would be thirty-four on the 12th.',
        at: Date.now() - 3_600_000,
        raw: {},
      },
    ])
    found.push(
      (await db.one<{ id: number }>('SELECT id FROM threads WHERE profile_id = $1', [profile.id]))!.id,
    )
  }
  threads = found as [number, number]
  me = (await db.one<{ id: number }>(`SELECT id FROM colleagues WHERE email LIKE 'tamsin@%'`))!.id
  await settled(world)
}, 150_000)
afterAll(() => world.stop())

const hours = (n: number) => new Date(Date.now() + n * 3_600_000).toISOString()
const draft = (more: Partial<FollowUpDraft> = {}): FollowUpDraft => ({
  kind: 'followUp',
  what: 'Call about the group',
  dueAt: hours(20),
  givenTo: me,
  ...more,
})
const add = (thread: number, more: Partial<FollowUpDraft> = {}, call = specialist) =>
  call<FollowUp>('POST', `/api/threads/${thread}/follow-ups`, draft(more))
const list = async (query: string, call = specialist) =>
  (await call<FollowUpsAnswer>('GET', `/api/follow-ups?${query}`)).body

describe('a follow-up', () => {
  test('says what, by when and who, knows whom it is about, and stands on the thread and the person', async () => {
    const { body } = await add(threads[0])
    expect(body).toMatchObject({
      what: 'Call about the group',
      threadId: threads[0],
      person: { name: 'Bastian Feld' },
      givenTo: me,
      late: false,
      doneAt: null,
    })
    expect((await specialist<FollowUp[]>('GET', `/api/threads/${threads[0]}/follow-ups`)).body).toEqual([
      body,
    ])
    const card = await specialist<PersonCard>('GET', `/api/people/${body.person!.id}`)
    expect(card.body.followUps).toEqual([body])
  })

  test('is done with a word, opened again, changed, removed; an older edition is refused', async () => {
    const { body: made } = await add(threads[0], { what: 'Send the menu', dueAt: hours(-2) })
    expect(made.late).toBe(true)
    const done = await specialist<FollowUp>('POST', `/api/follow-ups/${made.id}/done`, {
      edition: made.edition,
      outcome: 'sent by post',
    })
    expect(done.body).toMatchObject({ outcome: 'sent by post', doneBy: 'Tamsin Kerr', late: false })
    expect(
      await specialist<Problem>('PUT', `/api/follow-ups/${made.id}`, { ...draft(), edition: made.edition }),
    ).toMatchObject({ status: 409, body: { code: 'changedMeanwhile' } })
    const open = await specialist<FollowUp>('POST', `/api/follow-ups/${made.id}/reopen`)
    expect(open.body).toMatchObject({ doneAt: null, outcome: '' })
    const changed = await specialist<FollowUp>('PUT', `/api/follow-ups/${made.id}`, {
      ...draft({ kind: 'lead', worth: 1250.5, currency: 'EUR', nextStep: 'Quote by Monday' }),
      edition: open.body.edition,
    })
    expect(changed.body).toMatchObject({
      kind: 'lead',
      worth: 1250.5,
      currency: 'EUR',
      nextStep: 'Quote by Monday',
    })
    expect((await specialist('DELETE', `/api/follow-ups/${made.id}`)).status).toBe(204)
    expect((await specialist('DELETE', `/api/follow-ups/${made.id}`)).status).toBe(404)
  })

  test.each([
    [{ what: '' }, 'what'],
    [{ dueAt: 'tomorrow' }, 'dueAt'],
    [{ dueAt: '1200-01-01T00:00:00Z' }, 'dueAt'],
    [{ givenTo: 99_999 }, 'givenTo'],
    [{ kind: 'lead' as const, worth: 10 }, 'currency'],
    [{ kind: 'lead' as const, worth: -1, currency: 'EUR' }, 'worth'],
  ])('%j is refused by its field', async (more, field) => {
    const answer = (await add(threads[0], more)) as unknown as { status: number; body: Problem }
    expect(answer.status).toBe(422)
    expect(answer.body.fields?.map((each) => each.field)).toContain(field)
  })

  test('of another place is not there, and who only reads makes none', async () => {
    const { body } = await add(threads[1])
    expect((await manager('GET', `/api/threads/${threads[1]}/follow-ups`)).status).toBe(404)
    expect((await manager('POST', `/api/follow-ups/${body.id}/done`, {})).status).toBe(404)
    expect((await list('done=any', manager)).rows.map(({ threadId }) => threadId)).not.toContain(threads[1])
    expect((await add(threads[0], {}, reader)).status).toBe(403)
    const card = await manager<PersonCard>('GET', `/api/people/${body.person!.id}`)
    expect(card.body.followUps.map(({ threadId }) => threadId)).not.toContain(threads[1])
  })
})

describe('the lens over follow-ups', () => {
  test('the predicate in memory and the SQL choose the same, page after page, for any lens and any reader', async () => {
    const { db } = world.server.context
    const now = Date.now()
    for (let i = 0; i < 40; i++)
      await add(threads[i % 2]!, {
        what: `n ${i}`,
        kind: i % 3 ? 'followUp' : 'lead',
        dueAt: hours(((i * 7) % 41) - 20),
        givenTo: i % 4 ? me : null,
      })
    await db.rows(`UPDATE follow_ups SET done_at = now() - id * interval '1 minute' WHERE id % 3 = 1`)
    const all = await db.rows<{
      id: number
      kind: 'followUp' | 'lead'
      givenTo: number | null
      place: number
      dueAt: Date
      doneAt: Date | null
    }>(
      `SELECT f.id, f.kind, f.given_to AS "givenTo", t.place_id AS place, f.due_at AS "dueAt", f.done_at AS "doneAt"
       FROM follow_ups f JOIN threads t ON t.id = f.thread_id`,
    )
    const context = { ...lensContext, now, me }
    const owner: Reader = { colleagueId: me, brandId: 1, role: 'owner', placeIds: null, profileIds: null }
    await fc.assert(
      fc.asyncProperty(
        followUpLensArbitrary,
        fc.option(fc.subarray([1, 2, 3])),
        fc.integer({ min: 1, max: 30 }),
        async (lens, placeIds, limit) => {
          const matches = followUpPredicate(lens, context)
          const expected = all
            .filter(({ place }) => !placeIds || placeIds.includes(place))
            .filter(({ dueAt, doneAt, ...each }) =>
              matches({ ...each, dueAt: dueAt.getTime(), doneAt: doneAt?.getTime() ?? null }),
            )
          const rows: FollowUp[] = []
          for (let after = null; ;) {
            const page = await followUpPage(
              db,
              { lens, context, reader: { ...owner, placeIds } },
              { limit, after },
            )
            expect(page.total).toBe(expected.length)
            rows.push(...page.rows)
            if (page.rows.length < limit) break
            after = parseTimeKey(printTimeKey(keyAfter(page.rows.at(-1)!, lens)))
          }
          expect(rows.map(({ id }) => id).sort((a, b) => a - b)).toEqual(
            expected.map(({ id }) => id).sort((a, b) => a - b),
          )
        },
      ),
      { numRuns: 60 },
    )
  }, 150_000)

  test('mine that are open, and what is late', async () => {
    const mine = await list('done=open&whose=me')
    expect(mine.rows.every(({ givenTo, doneAt }) => givenTo === me && doneAt === null)).toBe(true)
    expect(mine.late).toBe(mine.rows.filter(({ late }) => late).length)
    expect((await list('done=late')).rows.every(({ late }) => late)).toBe(true)
    expect((await specialist('GET', '/api/follow-ups?after=x')).status).toBe(422)
  })
})

describe('the calendar', () => {
  test('under a secret address: what is open of mine, until the address is made anew or switched off', async () => {
    expect((await specialist<{ address: null }>('GET', '/api/calendar')).body.address).toBeNull()
    await add(threads[1], { what: 'Ring; bring, the "list"\nor not'.replace('\n', ' '), dueAt: hours(50) })
    const { address } = (await specialist<{ address: string }>('POST', '/api/calendar')).body
    const response = await fetch(address)
    expect(response.headers.get('content-type')).toContain('text/calendar')
    const calendar = new ICAL.Component(ICAL.parse(await response.text()) as unknown[])
    const events = calendar.getAllSubcomponents('vevent').map((each) => new ICAL.Event(each))
    expect(events.map(({ summary }) => summary)).toContain('Ring; bring, the "list" or not (Bastian Feld)')
    expect(events).toHaveLength((await list('done=open&whose=me')).total)
    const again = (await specialist<{ address: string }>('POST', '/api/calendar')).body.address
    expect(again).not.toBe(address)
    expect((await fetch(address)).status).toBe(404)
    await specialist('DELETE', '/api/calendar')
    expect((await fetch(again)).status).toBe(404)
  })
})
