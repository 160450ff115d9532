import { askingParts, type FollowUpKind, type Lens, type LensContext } from '@murrabel/core/lens'
import type { FollowUp } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import { called } from '../people/called.ts'
import type { Database, Tx } from '../../database.ts'
import type { TimeKey } from '../shared/timeKey.ts'
import { leadId } from '../shared/leadId.ts'
import { addAccess, Where } from '../shared/where.ts'

type Stored = Omit<FollowUp, 'dueAt' | 'madeAt' | 'doneAt' | 'late' | 'worth'> & {
  dueAt: Date
  madeAt: Date
  doneAt: Date | null
  worth: string | null
}

const columns = `f.id, f.edition, f.thread_id AS "threadId", CASE WHEN shown.id IS NULL THEN NULL ELSE jsonb_build_object('id', shown.id, 'name', ${called('shown')}) END AS person,
  t.place_id AS "placeId", p.channel, f.kind, f.what, f.worth, f.currency, f.next_step AS "nextStep", f.due_at AS "dueAt", f.given_to AS "givenTo",
  maker.name AS "madeBy", f.made_at AS "madeAt", f.done_at AS "doneAt", doer.name AS "doneBy", f.outcome`
const tables = `follow_ups f
  JOIN threads t ON t.id = f.thread_id
  JOIN profiles p ON p.id = t.profile_id
  LEFT JOIN people whose ON whose.id = f.person_id
  LEFT JOIN people shown ON shown.id = whose.shown_as
  LEFT JOIN colleagues maker ON maker.id = f.made_by
  LEFT JOIN colleagues doer ON doer.id = f.done_by`

const answerOf =
  (now: number) =>
  ({ dueAt, madeAt, doneAt, worth, ...row }: Stored): FollowUp => ({
    ...row,
    worth: worth === null ? null : Number(worth),
    dueAt: dueAt.toISOString(),
    madeAt: madeAt.toISOString(),
    doneAt: doneAt?.toISOString() ?? null,
    late: doneAt === null && dueAt.getTime() < now,
  })

/** Those of a lens, the first due first; what is done, the last done first. */
export async function followUpPage(
  db: Database,
  { lens, context, reader }: { lens: Lens; context: LensContext; reader: Reader },
  { limit, after }: { limit: number; after: TimeKey | null },
): Promise<{ rows: FollowUp[]; total: number; late: number }> {
  const where = new Where()
  addAccess(where, reader, 't')
  where.add(`f.brand_id = ${where.bind(reader.brandId)}`)
  const query = { bind: (value: unknown) => where.bind(value), context, at: 'f.due_at', window: null }
  for (const { part, value } of askingParts(lens)) {
    const condition = part.of === 'followUp' ? part.sql(value, query) : null
    if (condition) where.add(condition)
  }
  const now = where.bind(new Date(context.now))
  const conditions = where.toString()
  const counts = db.replica.rows<{ total: number; late: number }>(
    `SELECT count(*)::int AS total, count(*) FILTER (WHERE f.done_at IS NULL AND f.due_at < ${now}::timestamptz)::int AS late
     FROM follow_ups f JOIN threads t ON t.id = f.thread_id WHERE ${conditions}`,
    [...where.values],
  )
  const done = lens.followUpState === 'done'
  const [by, way, compare] = done ? ['f.done_at', 'DESC', '<'] : ['f.due_at', 'ASC', '>']
  // The parameter stands in both, so that they are bound alike.
  const beyond = after
    ? `AND (${by}, f.id) ${compare} (${where.bind(new Date(after.at))}::timestamptz, ${where.bind(after.id)}::bigint)`
    : ''
  const rows = await db.replica.rows<Stored>(
    `SELECT ${columns} FROM ${tables}
     WHERE ${conditions} AND ${now}::timestamptz IS NOT NULL ${beyond} ORDER BY ${by} ${way}, f.id ${way} LIMIT ${where.bind(limit)}`,
    where.values,
  )
  const [count] = await counts
  return { rows: rows.map(answerOf(context.now)), total: count!.total, late: count!.late }
}

/** Where the page after a row begins. */
export const keyAfter = ({ dueAt, doneAt, id }: FollowUp, lens: Lens): TimeKey => ({
  at: lens.followUpState === 'done' ? doneAt! : dueAt,
  id,
})

async function some(
  db: Database,
  reader: Reader,
  condition: (where: Where) => string,
  now: number,
  tx?: Tx,
): Promise<FollowUp[]> {
  const where = new Where()
  addAccess(where, reader, 't')
  where.add(condition(where))
  const rows = await db.rows<Stored>(
    `SELECT ${columns} FROM ${tables} WHERE ${where.toString()} ORDER BY f.done_at DESC NULLS FIRST, f.due_at, f.id LIMIT 200`,
    where.values,
    tx,
  )
  return rows.map(answerOf(now))
}

export const followUpsOfThread = (
  db: Database,
  reader: Reader,
  { threadId, now }: { threadId: number; now: number },
  tx?: Tx,
) => some(db, reader, (where) => `f.thread_id = ${where.bind(threadId)}`, now, tx)

export const followUpsOfPerson = (
  db: Database,
  reader: Reader,
  { person, now }: { person: number; now: number },
) => some(db, reader, (where) => `shown.id = ${where.bind(person)}`, now)

export const followUpById = async (
  db: Database,
  reader: Reader,
  { id, now }: { id: number; now: number },
  tx?: Tx,
): Promise<FollowUp | undefined> =>
  (await some(db, reader, (where) => `f.id = ${where.bind(id)}`, now, tx))[0]

/** What is open of somebody's, as far as they may see it; for their calendar. */
export const openFollowUpsOf = (db: Database, reader: Reader, now: number) =>
  some(db, reader, (where) => `f.given_to = ${where.bind(reader.colleagueId)} AND f.done_at IS NULL`, now)

export interface FollowUpToKeep {
  kind: FollowUpKind
  what: string
  worth: number | null
  currency: string | null
  nextStep: string
  dueAt: Date
  givenTo: number | null
}

export const insertFollowUp = (
  db: Database,
  { brandId, threadId, madeBy, ...f }: FollowUpToKeep & { brandId: number; threadId: number; madeBy: number },
  tx: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO follow_ups (brand_id, thread_id, person_id, made_by, kind, what, worth, currency, next_step, due_at, given_to)
     SELECT $1, t.id, a.person_id, $3, $4, $5, $6, $7, $8, $9, $10
     FROM threads t LEFT JOIN entries e ON e.id = ${leadId} LEFT JOIN accounts a ON a.id = e.account_id
     WHERE t.id = $2
     RETURNING id`,
    [brandId, threadId, madeBy, f.kind, f.what, f.worth, f.currency, f.nextStep, f.dueAt, f.givenTo],
    tx,
  )

export const updateFollowUp = async (
  db: Database,
  { id, ...f }: FollowUpToKeep & { id: number },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE follow_ups SET kind = $2, what = $3, worth = $4, currency = $5, next_step = $6, due_at = $7, given_to = $8, edition = edition + 1
     WHERE id = $1`,
    [id, f.kind, f.what, f.worth, f.currency, f.nextStep, f.dueAt, f.givenTo],
    tx,
  )
}

export const setFollowUpDone = async (
  db: Database,
  { id, at, by, outcome }: { id: number; at: Date | null; by: number | null; outcome: string },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    'UPDATE follow_ups SET done_at = $2, done_by = $3, outcome = $4, edition = edition + 1 WHERE id = $1',
    [id, at, by, outcome],
    tx,
  )
}

export const deleteFollowUp = async (db: Database, id: number, tx: Tx): Promise<void> => {
  await db.rows('DELETE FROM follow_ups WHERE id = $1', [id], tx)
}

/** Whether a colleague belongs to the brand. */
export const calendarToken = async (
  db: Database,
  { brandId, colleagueId }: { brandId: number; colleagueId: number },
): Promise<string | null> =>
  (
    await db.one<{ token: string | null }>(
      'SELECT calendar_token AS token FROM memberships WHERE brand_id = $1 AND colleague_id = $2',
      [brandId, colleagueId],
    )
  )?.token ?? null

export const setCalendarToken = async (
  db: Database,
  { brandId, colleagueId, token }: { brandId: number; colleagueId: number; token: string | null },
): Promise<void> => {
  await db.rows('UPDATE memberships SET calendar_token = $3 WHERE brand_id = $1 AND colleague_id = $2', [
    brandId,
    colleagueId,
    token,
  ])
}

export const memberByCalendar = (
  db: Database,
  token: string,
): Promise<{ brandId: number; colleagueId: number; brand: string } | undefined> =>
  db.one<{ brandId: number; colleagueId: number; brand: string }>(
    `SELECT m.brand_id AS "brandId", m.colleague_id AS "colleagueId", b.name AS brand
     FROM memberships m JOIN brands b ON b.id = m.brand_id WHERE m.calendar_token = $1`,
    [token],
  )
