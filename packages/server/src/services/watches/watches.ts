import { watchProblems, type WatchAnswer, type WatchDraft, fieldProblem } from '@murrabel/contract'
import { cutText } from '@murrabel/core/text'
import { isLimited, type Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { Where } from '../../store/queries/shared/where.ts'
import { record } from '../log/record.ts'
import { searchSoon } from '../profiles/profiles.ts'

const columns = `w.id, w.name, w.query, w.group_id AS "groupId", w.paused_at IS NOT NULL AS paused, w.history_done AS "historyDone", w.history_total AS "historyTotal", w.edition`

/** How many mentions a watch has that the reader may see: by the day for those who see all, otherwise by their profiles. */
function mentionsSql(where: Where, reader: Reader): string {
  if (!isLimited(reader))
    return '(SELECT coalesce(sum(r.positive + r.neutral + r.negative + r.unread), 0) FROM mention_days r WHERE r.watch_id = w.id)'
  const limits = [
    ...(reader.placeIds ? [`p.place_id = ANY(${where.bind(reader.placeIds)}::int[])`] : []),
    ...(reader.profileIds ? [`p.id = ANY(${where.bind(reader.profileIds)}::int[])`] : []),
  ]
  return `(SELECT coalesce(sum(r.n), 0) FROM mention_rollups r JOIN profiles p ON p.id = r.profile_id WHERE r.watch_id = w.id AND ${limits.join(' AND ')})`
}

/** How many watches a brand may have; two hundred are looked after with ease, ten times as many by nobody. */
export const watchLimit = 2000

export function listWatches(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  { id, tx }: { id?: number; tx?: Tx } = {},
): Promise<WatchAnswer[]> {
  const where = new Where()
  where.add(`w.brand_id = ${where.bind(reader.brandId)} AND w.deleted_at IS NULL`)
  if (id !== undefined) where.add(`w.id = ${where.bind(id)}`)
  return db.rows<WatchAnswer>(
    `SELECT ${columns}, ${mentionsSql(where, reader)} AS mentions FROM watches w WHERE ${where.toString()} ORDER BY w.name COLLATE "und-x-icu", w.id`,
    where.values,
    tx,
  )
}

async function watchAnswer(parts: Pick<Context, 'db'>, reader: Reader, id: number): Promise<WatchAnswer> {
  const [watch] = await listWatches(parts, reader, { id })
  if (!watch) throw new Refusal('notFound')
  return watch
}

function check(draft: WatchDraft): void {
  const fields = watchProblems(draft.query)
  if (fields.length) throw new Refusal('invalid', { fields })
}

/** What the brand has for a watch to read. */
const historySize = `(SELECT count(*) FROM entries WHERE brand_id = $1 AND direction = 'in')`

async function checkGroup(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  groupId: number | null | undefined,
  tx: Tx,
) {
  if (groupId === null || groupId === undefined) return
  const group = await db.one(
    'SELECT 1 FROM watch_groups WHERE id = $1 AND brand_id = $2',
    [groupId, reader.brandId],
    tx,
  )
  if (!group)
    throw new Refusal('invalid', {
      fields: [fieldProblem('groupId', 'groupGone')],
    })
}

const readHistory = ({ due }: Context, brandId: number, tx: Tx): Promise<void> =>
  due.ask({ kind: 'watchHistory', subject: brandId, owner: brandOwner(brandId) }, tx)

/** Stores new watches in one go; their one pass over the history begins at once, in the background. */
export async function createWatches(
  context: Context,
  reader: Reader,
  drafts: readonly WatchDraft[],
  tx: Tx,
): Promise<number[]> {
  const { db, live } = context
  const have = await db.one<{ n: number }>(
    'SELECT count(*) AS n FROM watches WHERE brand_id = $1 AND deleted_at IS NULL',
    [reader.brandId],
    tx,
  )
  if ((have?.n ?? 0) + drafts.length > watchLimit)
    throw new Refusal('invalid', {
      fields: [fieldProblem('name', 'manyWatches', { values: { most: watchLimit, n: have?.n ?? 0 } })],
    })
  const rows = await db.rows<{ id: number }>(
    `INSERT INTO watches (brand_id, name, query, group_id, created_by, history_total)
     SELECT $1, n.name, n.query, n.group_id, $2, ${historySize} FROM unnest($3::text[], $4::jsonb[], $5::int[]) WITH ORDINALITY AS n (name, query, group_id, i) ORDER BY n.i RETURNING id`,
    [
      reader.brandId,
      reader.colleagueId,
      drafts.map((d) => d.name),
      drafts.map((d) => JSON.stringify(d.query)),
      drafts.map((d) => d.groupId ?? null),
    ],
    tx,
  )
  await readHistory(context, reader.brandId, tx)
  await searchSoon(context, reader.brandId, tx)
  for (const [i, { id }] of rows.entries())
    await record(
      db,
      reader,
      { kind: 'createWatch', on: ['watch', id], detail: { name: drafts[i]!.name } },
      tx,
    )
  await live.tell(reader.brandId, { kind: 'watches' }, tx)
  return rows.map(({ id }) => id)
}

export async function createWatch(context: Context, reader: Reader, draft: WatchDraft): Promise<WatchAnswer> {
  check(draft)
  const [id] = await context.db.inTransaction(async (tx) => {
    await checkGroup(context, reader, draft.groupId, tx)
    return createWatches(context, reader, [draft], tx)
  })
  return watchAnswer(context, reader, id!)
}

export async function updateWatch(
  context: Context,
  reader: Reader,
  id: number,
  draft: WatchDraft,
): Promise<WatchAnswer> {
  check(draft)
  const { db, live } = context
  await db.inTransaction(async (tx) => {
    await checkEdition({ db }, 'watches', { id, brandId: reader.brandId }, draft.edition, tx)
    await checkGroup(context, reader, draft.groupId, tx)
    const old = await db.one<{ name: string; query: object; groupId: number | null; same: boolean }>(
      'SELECT name, query, group_id AS "groupId", query = $3::jsonb AS same FROM watches WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL FOR UPDATE',
      [id, reader.brandId, JSON.stringify(draft.query)],
      tx,
    )
    if (!old) throw new Refusal('notFound')
    await record(
      db,
      reader,
      {
        kind: 'updateWatch',
        on: ['watch', id],
        detail: { before: { name: old.name, query: old.query, groupId: old.groupId } },
      },
      tx,
    )
    await db.rows(
      'UPDATE watches SET name = $2, group_id = $3, updated_at = now(), edition = edition + 1 WHERE id = $1',
      [id, draft.name, draft.groupId === undefined ? old.groupId : draft.groupId],
      tx,
    )
    if (!old.same) {
      await db.rows(
        `UPDATE watches SET query = $3, version = version + 1, history_done = 0, history_total = ${historySize} WHERE id = $2`,
        [reader.brandId, id, JSON.stringify(draft.query)],
        tx,
      )
      await readHistory(context, reader.brandId, tx)
      await searchSoon(context, reader.brandId, tx)
    }
    await live.tell(reader.brandId, { kind: 'watches' }, tx)
  })
  return watchAnswer(context, reader, id)
}

/** Deleting keeps the row, so that it can be brought back. */
export async function deleteWatch({ db, live }: Context, reader: Reader, id: number): Promise<void> {
  const rows = await db.rows(
    // Its secret addresses are dead from now on, and stay so when it comes back.
    'UPDATE watches SET deleted_at = now(), feed_token = NULL, feed_by = NULL, edition = edition + 1 WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL RETURNING id',
    [id, reader.brandId],
  )
  if (!rows.length) throw new Refusal('notFound')
  await record(db, reader, { kind: 'deleteWatch', on: ['watch', id] })
  await live.tell(reader.brandId, { kind: 'watches' })
}

/** Sets a watch going again, and lets it read what came in meanwhile. */
async function goOn(
  context: Context,
  reader: Reader,
  id: number,
  how: { set: string; where: string; name: string },
) {
  const { db, live } = context
  await db.inTransaction(async (tx) => {
    const rows = await db.rows(
      `UPDATE watches SET ${how.set}, version = version + 1, edition = edition + 1, history_done = 0, history_total = ${historySize}
       WHERE id = $2 AND brand_id = $1 AND ${how.where} RETURNING id`,
      [reader.brandId, id],
      tx,
    )
    if (!rows.length) throw new Refusal('notFound')
    await readHistory(context, reader.brandId, tx)
    await searchSoon(context, reader.brandId, tx)
    await record(db, reader, { kind: how.name, on: ['watch', id] }, tx)
    await live.tell(reader.brandId, { kind: 'watches' }, tx)
  })
  return watchAnswer(context, reader, id)
}

/** Brings a deleted watch back and reads what came in meanwhile. */
export const restoreWatch = (context: Context, reader: Reader, id: number): Promise<WatchAnswer> =>
  goOn(context, reader, id, {
    set: 'deleted_at = NULL',
    where: 'deleted_at IS NOT NULL',
    name: 'restoreWatch',
  })

/** A paused watch catches nothing new; what it caught stays. Going on, it reads what it missed. */
export async function pauseWatch(
  context: Context,
  reader: Reader,
  id: number,
  paused: boolean,
): Promise<WatchAnswer> {
  const { db, live } = context
  if (!paused)
    return goOn(context, reader, id, {
      set: 'paused_at = NULL',
      where: 'deleted_at IS NULL AND paused_at IS NOT NULL',
      name: 'resumeWatch',
    })
  const rows = await db.rows(
    'UPDATE watches SET paused_at = now(), edition = edition + 1 WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL AND paused_at IS NULL RETURNING id',
    [id, reader.brandId],
  )
  if (!rows.length) throw new Refusal('notFound')
  await record(db, reader, { kind: 'pauseWatch', on: ['watch', id] })
  await live.tell(reader.brandId, { kind: 'watches' })
  return watchAnswer(context, reader, id)
}

/** A second watch that asks the same, to be sharpened another way. */
export async function copyWatch(context: Context, reader: Reader, id: number): Promise<WatchAnswer> {
  const own = await context.db.one<{ name: string; query: WatchDraft['query']; groupId: number | null }>(
    'SELECT name, query, group_id AS "groupId" FROM watches WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL',
    [id, reader.brandId],
  )
  if (!own) throw new Refusal('notFound')
  return createWatch(context, reader, { ...own, name: `${cutText(own.name, 72)} (copy)` })
}
