import {
  type KeepDraft,
  type TagAnswer,
  type TagChangeAnswer,
  type TagDraft,
  fieldProblem,
} from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { addKept, removeKept, visibleEntries } from '../../store/queries/entries/keptEntries.ts'
import {
  addThreadTags,
  countTags,
  createTags,
  lockThreads,
  removeThreadTags,
  removeUnusedTags,
  tagsOfBrand,
  type TagOfThread,
} from '../../store/queries/inbox/tags.ts'
import type { Tx } from '../../store/database.ts'
import { recordAll } from '../log/index.ts'

/** The tags of a brand, by name. */
export const listTags = ({ db }: Pick<Context, 'db'>, reader: Reader, tx?: Tx): Promise<TagAnswer[]> =>
  tagsOfBrand(db, reader.brandId, tx)

/** Tags of a brand at most: more are no help in finding anything. */
const tagLimit = 500

/** Tags by their names, those that are new among them. @throws Refusal invalid when there would be too many */
export async function namedTags(
  { db }: Pick<Context, 'db'>,
  { brandId, names, field }: { brandId: number; names: readonly string[]; field: string },
  tx: Tx,
): Promise<{ tags: TagAnswer[]; ids: number[] }> {
  await createTags(db, { brandId, names }, tx)
  const tags = await tagsOfBrand(db, brandId, tx)
  if (tags.length > tagLimit)
    throw new Refusal('invalid', {
      fields: [fieldProblem(field, 'manyTags', { values: { most: tagLimit } })],
    })
  const lower = new Set(names.map((name) => name.toLowerCase()))
  return { tags, ids: tags.filter(({ name }) => lower.has(name.toLowerCase())).map(({ id }) => id) }
}

/**
 * Puts tags on threads and takes others off, for one or many; a name that is new becomes a tag. Threads the reader may
 * not see are left out. Answers what changed on each, so that exactly that can be taken back.
 */
export async function tagThreads(
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  { threads, add, remove }: TagDraft,
): Promise<TagChangeAnswer> {
  return db.inTransaction(async (tx) => {
    const ids = await lockThreads(db, reader, threads, tx)
    if (!ids.length) throw new Refusal('notFound')
    await checkTags({ db }, reader, remove, tx)
    const { ids: named } = await namedTags({ db }, { brandId: reader.brandId, names: add, field: 'add' }, tx)
    const { brandId, colleagueId } = reader
    const added = await addThreadTags(db, { threads: ids, tags: named, colleagueId }, tx)
    const removed = await removeThreadTags(db, { threads: ids, tags: remove, brandId }, tx)
    await removeUnusedTags(db, { brandId, ids: removed.map(({ tag }) => tag) }, tx)
    const changed = ids.flatMap((thread) => {
      const of = (rows: readonly TagOfThread[]) =>
        rows.filter((row) => row.thread === thread).map(({ tag }) => tag)
      const change = { thread, added: of(added), removed: of(removed) }
      return change.added.length || change.removed.length ? [change] : []
    })
    await recordAll(
      db,
      reader,
      changed.map(({ thread, ...change }) => ({
        kind: 'tag',
        on: ['thread', thread] as const,
        detail: change,
      })),
      tx,
    )
    await live.tell(reader.brandId, { kind: 'thread', threads: changed.map(({ thread }) => thread) }, tx)
    return { tags: await listTags({ db }, reader, tx), changed }
  })
}

/** Tags to be taken off must be the brand's own. */
async function checkTags(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  ids: readonly number[],
  tx: Tx,
): Promise<void> {
  if (!ids.length) return
  const known = await countTags(db, { brandId: reader.brandId, ids }, tx)
  // One that a colleague has just taken off everywhere is gone; none that is known is somebody else's.
  if (!known) throw new Refusal('notFound')
}

/** Keeps entries for later use, or lets them go; answers the ids that were not so before. */
export async function keepEntries(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  { ids, kept }: KeepDraft,
): Promise<{ changed: number[] }> {
  return db.inTransaction(async (tx) => {
    const seen = await visibleEntries(db, reader, ids, tx)
    if (!seen.length) throw new Refusal('notFound')
    const own = seen.map(({ id }) => id)
    const rows = kept
      ? await addKept(db, { ids: own, colleagueId: reader.colleagueId }, tx)
      : await removeKept(db, own, tx)
    const changed = rows.map(({ id }) => id)
    await recordAll(
      db,
      reader,
      seen
        .filter(({ id }) => changed.includes(id))
        .map(({ id, threadId }) => ({ kind: kept ? 'keep' : 'letGo', on: ['entry', id, threadId] as const })),
      tx,
    )
    return { changed }
  })
}
