import { loadLanguages } from '@murrabel/core/text'
import type { Context } from '../../context.ts'
import type { Database, Tx } from '../../store/database.ts'
import { hoursOf, leadsOf, refreshThreads } from '../threads/refresh.ts'
import { readEntry, storedSpans, tsvectorText, type EntryReading, type ReadableEntry } from './readEntry.ts'
import { storedPrint, StoryShelf } from './storyShelf.ts'
import { TeachingBook } from './teachingBook.ts'
import { lockMentions, WatchBook } from './watchBook.ts'

interface Pending extends ReadableEntry {
  id: number
  brandId: number
  profileId: number
  threadId: number
  channel: string
  at: Date
  voice: string | null
}

interface Read extends EntryReading {
  entry: Pending
  story: number | null
}

export const analysisBatch = 500

export interface Analysis {
  /** Reads everything that has not been read yet; returns how many entries that were. */
  run(): Promise<number>
}

/** What is kept from batch to batch. */
interface Books {
  watches: Map<number, WatchBook>
  stories: Map<number, StoryShelf>
  teaching: TeachingBook
}

/**
 * Reads stored entries in batches: language, sentiment, aspects, story, watches, then thread and due time, in one
 * transaction a batch and with one notice at its end. What a crash leaves behind is found again by its missing
 * `analysed_at`.
 */
export function createAnalysis(context: Pick<Context, 'db' | 'live' | 'now'>): Analysis {
  const books: Books = { watches: new Map(), stories: new Map(), teaching: new TeachingBook() }
  let running: Promise<number> | null = null
  let again = false

  async function drain(): Promise<number> {
    await loadLanguages()
    let total = 0
    for (;;) {
      again = false
      const done = await batch(context, books)
      total += done
      if (done === 0 && !again) return total
    }
  }

  return {
    run() {
      again = true
      running ??= drain().finally(() => (running = null))
      return running
    },
  }
}

async function batch({ db, live, now }: Pick<Context, 'db' | 'live' | 'now'>, books: Books): Promise<number> {
  return db.inTransaction(async (tx) => {
    const pending = await db.rows<Pending>(
      // Materialised: a plan that asked the picking query more than once would lock more each time.
      `WITH picked AS MATERIALIZED (SELECT id FROM entries WHERE analysed_at IS NULL ORDER BY id LIMIT $1 FOR NO KEY UPDATE SKIP LOCKED)
       SELECT e.id, e.brand_id AS "brandId", e.profile_id AS "profileId", e.thread_id AS "threadId", e.direction, e.channel, e.title, e.text,
         e.rating, e.at, e.private, coalesce(a.handle, a.name) AS voice
       FROM picked JOIN entries e ON e.id = picked.id LEFT JOIN accounts a ON a.id = e.account_id`,
      [analysisBatch],
      tx,
    )
    if (!pending.length) return 0
    const brands = [...new Set(pending.map((p) => p.brandId))].sort((a, b) => a - b)
    for (const brandId of brands) {
      const own = pending.filter((p) => p.brandId === brandId)
      await readBrand({ db, live, now }, books, brandId, own, tx)
    }
    return pending.length
  })
}

async function readBrand(
  { db, live, now }: Pick<Context, 'db' | 'live' | 'now'>,
  books: Books,
  brandId: number,
  pending: readonly Pending[],
  tx: Tx,
): Promise<void> {
  const teaching = await books.teaching.of(db, brandId, tx)
  const readings = pending.map((entry) => ({ ...readEntry(entry, teaching), entry }))
  await lockMentions(db, brandId, tx)
  const shelf = books.stories.get(brandId) ?? new StoryShelf(brandId)
  books.stories.set(brandId, shelf)
  const stories = await shelf.place(
    db,
    readings.map(({ entry, print }) => ({ id: entry.id, at: entry.at, print })),
    tx,
  )
  const reads = readings.map((read) => ({ ...read, story: stories.get(read.entry.id) ?? null }))
  await store(db, reads, new Date(now()), tx)
  await storeAspects(db, reads, tx)
  const book = books.watches.get(brandId) ?? new WatchBook(brandId)
  books.watches.set(brandId, book)
  const incoming = reads.filter((r) => r.entry.direction === 'in')
  await book.mark(
    db,
    incoming.map(({ entry, language }) => ({ ...entry, language })),
    tx,
  )
  const threads = [...new Set(pending.map((p) => p.threadId))]
  await refreshThreads(db, threads, await hoursOf(db, brandId, tx), tx)
  await live.tell(brandId, { kind: 'entries', threads, count: incoming.length }, tx)
}

async function store(db: Database, reads: readonly Read[], at: Date, tx: Tx): Promise<void> {
  await db.rows(
    `UPDATE entries e SET language = n.language, sentiment = CASE WHEN e.corrected_by IS NULL THEN n.sentiment ELSE e.sentiment END,
       score = n.score, confidence = n.confidence, spans = n.spans, search = n.search::tsvector, print = n.print,
       story_id = coalesce(n.story, CASE WHEN e.story_id = e.id THEN e.id END), lead = (e.id = ANY($11::bigint[])), analysed_at = $1
     FROM unnest($2::bigint[], $3::text[], $4::text[], $5::real[], $6::real[], $7::jsonb[], $8::text[], $9::bigint[], $10::bigint[])
       AS n (id, language, sentiment, score, confidence, spans, search, print, story) WHERE e.id = n.id`,
    [
      at,
      reads.map((r) => r.entry.id),
      reads.map((r) => r.language),
      reads.map((r) => r.label),
      reads.map((r) => r.reading.score),
      reads.map((r) => r.reading.confidence),
      reads.map((r) => storedSpans(r.reading)),
      reads.map((r) => tsvectorText(r.words)),
      reads.map((r) => storedPrint(r.print)),
      reads.map((r) => r.story),
      await leadsOf(db, [...new Set(reads.map((r) => r.entry.threadId))], tx),
    ],
    tx,
  )
}

/** Puts the aspects of entries in the place of those known before. */
export async function storeAspects(
  db: Database,
  reads: readonly { entry: { id: number }; aspects: EntryReading['aspects'] }[],
  tx: Tx,
): Promise<void> {
  await db.rows(
    'DELETE FROM aspect_readings WHERE entry_id = ANY($1::bigint[])',
    [reads.map((r) => r.entry.id)],
    tx,
  )
  const rows = reads.flatMap(({ entry, aspects }) => aspects.map((a) => ({ entry: entry.id, ...a })))
  if (rows.length)
    await db.rows(
      // An aspect deleted since the teaching was read is no more.
      `INSERT INTO aspect_readings (aspect_id, entry_id, felt) SELECT n.aspect, n.entry, n.felt
       FROM unnest($1::int[], $2::bigint[], $3::text[]) AS n (aspect, entry, felt) JOIN aspects a ON a.id = n.aspect`,
      [rows.map((r) => r.aspect), rows.map((r) => r.entry), rows.map((r) => r.felt)],
      tx,
    )
}
