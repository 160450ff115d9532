import type { HookEvent } from '@murrabel/contract'
import type { Context } from '../../context.ts'
import type { Database, Tx } from '../../store/database.ts'
import { isOfTheData } from '../../store/failures.ts'
import type { EntryMeaning, StoredReading } from './readEntry.ts'
import { beginAhead, readingsOf, type ReadingsAhead } from './readingsAhead.ts'
import { storedPrint } from '../../store/storedPrint.ts'
import { StoryShelf } from './storyShelf.ts'
import { TeachingBook } from './teachingBook.ts'
import { WatchBook } from './watchBook.ts'
import {
  unreadEntries,
  type Pending,
  lockUnread,
  setReadings,
  setUnreadable,
} from '../../store/queries/analysis/unread.ts'
import { removeAspectReadings, addAspectReadings } from '../../store/queries/analysis/aspects.ts'
import { markWatched, holdMentions } from '../../store/queries/analysis/mentions.ts'
import { tellHooks } from '../../store/queries/hooks/deliveries.ts'
import { coverThreads } from '../absences/index.ts'
import { setApart } from '../intake/index.ts'
import { businessHoursOf, leadsOf, putSpamAside, refreshThreads } from '../inbox/index.ts'

interface Read extends StoredReading {
  entry: Pending
  story: number | null
}

export const analysisBatch = 500

/** What is kept from batch to batch. */
interface Books {
  watches: Map<number, WatchBook>
  stories: Map<number, StoryShelf>
  teaching: TeachingBook
}

type Parts = Pick<Context, 'db' | 'live' | 'now' | 'due' | 'readingWorker'>

/** Reads everything of one brand that has not been read yet. */
export type Analysis = (brandId: number, signal?: AbortSignal) => Promise<void>

/**
 * Reads stored entries in batches: language, sentiment, aspects, story, watches, then thread and due time, in one
 * transaction a batch and with one notice at its end. What a crash leaves behind is found again by its missing
 * `analysed_at`. A batch that fails is halved until the culprit stands alone; that entry is set apart unread.
 */
export function createAnalysis(context: Parts): Analysis {
  const books: Books = { watches: new Map(), stories: new Map(), teaching: new TeachingBook() }
  return async (brandId, signal) => {
    const parts: Reading = { ...context, books, brandId, ahead: null }
    for (;;) {
      signal?.throwIfAborted()
      const ids = await unreadIds(context.db, brandId)
      if (!ids.length) return
      // The next batch is read while this one is stored; where that fails, it is read when it is its turn.
      const next = aheadOf(parts, ids.slice(analysisBatch)).catch(() => null)
      await readHalves(parts, ids.slice(0, analysisBatch))
      parts.ahead = await next
    }
  }
}

/** A batch of a brand in hand. */
interface Reading extends Parts {
  books: Books
  brandId: number
  ahead: ReadingsAhead | null
}

const aheadOf = async (
  { books, brandId, ...parts }: Reading,
  ids: readonly number[],
): Promise<ReadingsAhead | null> =>
  beginAhead(parts, ids, { brandId, teaching: await books.teaching.of(parts.db, brandId) })

async function unreadIds(db: Database, brandId: number): Promise<number[]> {
  const rows = await unreadEntries(db, { brandId, limit: 2 * analysisBatch })
  return rows.map(({ id }) => id)
}

async function readHalves(reading: Reading, ids: readonly number[]): Promise<void> {
  const { books, brandId } = reading
  try {
    await readBatch(reading, ids)
  } catch (error) {
    // What was kept in memory may know of what was rolled back.
    books.watches.delete(brandId)
    books.stories.delete(brandId)
    if (!isOfTheData(error)) throw error
    if (ids.length === 1) return leaveUnread(reading, brandId, ids[0]!, error)
    const middle = ids.length >> 1
    await readHalves(reading, ids.slice(0, middle))
    await readHalves(reading, ids.slice(middle))
  }
}

function readBatch(reading: Reading, ids: readonly number[]): Promise<void> {
  const { db } = reading
  return db.inTransaction(async (tx) => {
    const pending = await lockUnread(db, ids, tx)
    if (pending.length) await readBrand(reading, pending, tx)
  })
}

/** An entry that cannot be read is shown as it came, unread, and named at its profile; everything else goes on. */
async function leaveUnread(
  { db, live, now }: Parts,
  brandId: number,
  id: number,
  reason: unknown,
): Promise<void> {
  await db.inTransaction(async (tx) => {
    const entry = await setUnreadable(db, { id, at: new Date(now()) }, tx)
    if (!entry) return
    const { message, original } = reason as Error & { original?: Error }
    await setApart(
      db,
      { id: entry.profileId, brandId },
      [
        {
          outsideId: entry.outsideId ?? `entry ${id}`,
          stage: 'analyse',
          entryId: id,
          raw: undefined,
          reason: original?.message ?? message,
        },
      ],
      tx,
    )
    await refreshThreads(db, [entry.threadId], await businessHoursOf(db, brandId, tx), now(), tx)
    await live.tell(brandId, { kind: 'profiles' }, tx)
    await live.tell(brandId, { kind: 'entries', threads: [entry.threadId], count: 1 }, tx)
  })
}

async function readBrand(
  { db, live, now, due, readingWorker, books, brandId, ahead }: Reading,
  pending: readonly Pending[],
  tx: Tx,
): Promise<void> {
  // First of all: who reads the history again passes over what is not read yet, so that must be read with what is taught now.
  await holdMentions(db, brandId, tx)
  const teaching = await books.teaching.of(db, brandId, tx)
  const answers = await readingsOf({ readingWorker }, pending, { brandId, teaching, ahead })
  const readings = answers.map((reading, i) => ({ ...reading, entry: pending[i]! }))
  const shelf = books.stories.get(brandId) ?? new StoryShelf(brandId)
  books.stories.set(brandId, shelf)
  const stories = await shelf.place(
    db,
    readings.map(({ entry, print }) => ({ id: entry.id, at: entry.at, print })),
    tx,
  )
  const reads = readings.map((read) => ({ ...read, story: stories.get(read.entry.id) ?? null }))
  await storeReadings(db, reads, new Date(now()), tx)
  await storeAspects(db, reads, tx)
  const book = books.watches.get(brandId) ?? new WatchBook(brandId)
  books.watches.set(brandId, book)
  const incoming = reads.filter((r) => r.entry.direction === 'in')
  await book.mark(
    db,
    incoming.map(({ entry, language }) => ({ ...entry, language })),
    tx,
  )
  await markWatched(
    db,
    incoming.map(({ entry }) => entry.id),
    tx,
  )
  const threads = [...new Set(pending.map((p) => p.threadId))]
  await refreshThreads(db, threads, await businessHoursOf(db, brandId, tx), now(), tx)
  if (incoming.length) await putSpamAside({ db, live, now, due }, brandId, threads, tx)
  if (incoming.length) await coverThreads({ db, live, now, due }, brandId, threads, tx)
  await live.tell(brandId, { kind: 'entries', threads, count: incoming.length }, tx)
  if (incoming.length) await tellHooks(db, brandId, [entriesRead(incoming.map(({ entry }) => entry.id))], tx)
}

const entriesRead = (entries: readonly number[]) => ({
  event: 'entries.read' satisfies HookEvent,
  subjectId: null,
  threadId: null,
  colleagueId: null,
  detail: { entries },
})

async function storeReadings(db: Database, reads: readonly Read[], at: Date, tx: Tx): Promise<void> {
  const readings = reads.map(({ entry, print, ...read }) => ({
    ...read,
    id: entry.id,
    print: storedPrint(print),
  }))
  const leads = await leadsOf(db, [...new Set(reads.map((r) => r.entry.threadId))], tx)
  await setReadings(db, { readings, leads, at }, tx)
}

/** Puts the aspects of entries in the place of those known before. */
export async function storeAspects(
  db: Database,
  reads: readonly { entry: { id: number }; aspects: EntryMeaning['aspects'] }[],
  tx: Tx,
): Promise<void> {
  await removeAspectReadings(
    db,
    reads.map((r) => r.entry.id),
    tx,
  )
  const rows = reads.flatMap(({ entry, aspects }) => aspects.map((a) => ({ entry: entry.id, ...a })))
  if (rows.length)
    await addAspectReadings(
      db,
      {
        aspectIds: rows.map((r) => r.aspect),
        entryIds: rows.map((r) => r.entry),
        sentiments: rows.map((r) => r.sentiment),
      },
      tx,
    )
}
