import {
  watchProblems,
  type WatchAnswer,
  type WatchDraft,
  fieldProblem,
  type LogKind,
} from '@murrabel/contract'
import { cutText } from '@murrabel/core/text'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { groupExists } from '../../store/queries/watches/groups.ts'
import {
  countWatches,
  insertWatches,
  lockWatch,
  setWatch,
  setWatchQuery,
  setWatchDeleted,
  setWatchPaused,
  setWatchRestored,
  setWatchResumed,
  watchesSeenBy,
  watchById,
} from '../../store/queries/watches/watches.ts'
import { record } from '../log/index.ts'
import { searchSoon } from '../profiles/index.ts'

/** How many watches a brand may have; two hundred are looked after with ease, ten times as many by nobody. */
export const watchLimit = 2000

export function listWatches(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  { id, tx }: { id?: number; tx?: Tx } = {},
): Promise<WatchAnswer[]> {
  return watchesSeenBy(db, reader, { id: id ?? null }, tx)
}

async function watchAnswer(parts: Pick<Context, 'db'>, reader: Reader, id: number): Promise<WatchAnswer> {
  const [watch] = await listWatches(parts, reader, { id })
  if (!watch) throw new Refusal('notFound')
  return watch
}

function refuseWrongQuery(draft: WatchDraft): void {
  const fields = watchProblems(draft.query)
  if (fields.length) throw new Refusal('invalid', { fields })
}

async function checkGroup(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  groupId: number | null | undefined,
  tx: Tx,
) {
  if (groupId === null || groupId === undefined) return
  const group = await groupExists(db, { id: groupId, brandId: reader.brandId }, tx)
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
  const have = await countWatches(db, reader.brandId, tx)
  if ((have?.n ?? 0) + drafts.length > watchLimit)
    throw new Refusal('invalid', {
      fields: [fieldProblem('name', 'manyWatches', { values: { most: watchLimit, n: have?.n ?? 0 } })],
    })
  const rows = await insertWatches(
    db,
    {
      brandId: reader.brandId,
      colleagueId: reader.colleagueId,
      names: drafts.map((d) => d.name),
      queries: drafts.map((d) => JSON.stringify(d.query)),
      groupIds: drafts.map((d) => d.groupId ?? null),
      answered: drafts.map((d) => d.answered ?? false),
    },
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
  refuseWrongQuery(draft)
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
  refuseWrongQuery(draft)
  const { db, live } = context
  await db.inTransaction(async (tx) => {
    await checkEdition({ db }, 'watches', { id, brandId: reader.brandId }, draft.edition, tx)
    await checkGroup(context, reader, draft.groupId, tx)
    const old = await lockWatch(db, { id, brandId: reader.brandId, query: draft.query }, tx)
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
    await setWatch(
      db,
      {
        id,
        name: draft.name,
        groupId: draft.groupId === undefined ? old.groupId : draft.groupId,
        answered: draft.answered ?? null,
      },
      tx,
    )
    if (!old.same) {
      await setWatchQuery(db, { brandId: reader.brandId, id, query: draft.query }, tx)
      await readHistory(context, reader.brandId, tx)
      await searchSoon(context, reader.brandId, tx)
    }
    await live.tell(reader.brandId, { kind: 'watches' }, tx)
  })
  return watchAnswer(context, reader, id)
}

/** Deleting keeps the row, so that it can be brought back. */
export async function deleteWatch({ db, live }: Context, reader: Reader, id: number): Promise<void> {
  const rows = await setWatchDeleted(db, { id, brandId: reader.brandId })
  if (!rows.length) throw new Refusal('notFound')
  await record(db, reader, { kind: 'deleteWatch', on: ['watch', id] })
  await live.tell(reader.brandId, { kind: 'watches' })
}

/** A watch that goes on: it reads the history again, with what came in meanwhile. */
async function rereadFor(
  context: Context,
  reader: Reader,
  id: number,
  { kind, change }: { kind: LogKind; change: typeof setWatchRestored },
): Promise<WatchAnswer> {
  const { db, live } = context
  await db.inTransaction(async (tx) => {
    const rows = await change(db, { id, brandId: reader.brandId }, tx)
    if (!rows.length) throw new Refusal('notFound')
    await readHistory(context, reader.brandId, tx)
    await searchSoon(context, reader.brandId, tx)
    await record(db, reader, { kind, on: ['watch', id] }, tx)
    await live.tell(reader.brandId, { kind: 'watches' }, tx)
  })
  return watchAnswer(context, reader, id)
}

/** Brings a deleted watch back and reads what came in meanwhile. */
export const restoreWatch = (context: Context, reader: Reader, id: number): Promise<WatchAnswer> =>
  rereadFor(context, reader, id, { kind: 'restoreWatch', change: setWatchRestored })

/** A paused watch catches nothing new; what it caught stays. Resumed, it reads what it missed. */
export async function pauseWatch(
  context: Context,
  reader: Reader,
  id: number,
  paused: boolean,
): Promise<WatchAnswer> {
  const { db, live } = context
  if (!paused) return rereadFor(context, reader, id, { kind: 'resumeWatch', change: setWatchResumed })
  const rows = await setWatchPaused(db, { id, brandId: reader.brandId })
  if (!rows.length) throw new Refusal('notFound')
  await record(db, reader, { kind: 'pauseWatch', on: ['watch', id] })
  await live.tell(reader.brandId, { kind: 'watches' })
  return watchAnswer(context, reader, id)
}

/** A second watch that asks the same, to be sharpened another way. */
export async function copyWatch(context: Context, reader: Reader, id: number): Promise<WatchAnswer> {
  const own = await watchById(context.db, { id, brandId: reader.brandId })
  if (!own) throw new Refusal('notFound')
  return createWatch(context, reader, { ...own, name: `${cutText(own.name, 72)} (copy)` })
}
