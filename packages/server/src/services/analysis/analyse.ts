import { searchWords } from '@murrabel/core/lens'
import { labelOfReview, readSentiment, type SentimentReading } from '@murrabel/core/sentiment'
import { detectLanguage, joinTitle, loadLanguages } from '@murrabel/core/text'
import type { Context } from '../../context.ts'
import type { Database, Tx } from '../../store/database.ts'
import { hoursOf, refreshThreads } from '../threads/refresh.ts'
import { WatchBook } from './watchBook.ts'

interface Pending {
  id: number
  brandId: number
  threadId: number
  direction: 'in' | 'out'
  channel: string
  title: string | null
  text: string
  rating: number | null
  at: Date
  corrected: boolean
  voice: string | null
}

interface Read {
  entry: Pending
  language: string
  reading: SentimentReading
  label: SentimentReading['label']
  words: string[]
}

export const analysisBatch = 500

export interface Analysis {
  /** Reads everything that has not been read yet; returns how many entries that were. */
  run(): Promise<number>
}

/**
 * Reads stored entries in batches: language, sentiment, watches, then thread and due time, in one transaction a batch and
 * with one notice at its end. What a crash leaves behind is found again by its missing `analysed_at`.
 */
export function createAnalysis(context: Pick<Context, 'db' | 'live' | 'now'>): Analysis {
  const books = new Map<number, WatchBook>()
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

async function batch(
  { db, live, now }: Pick<Context, 'db' | 'live' | 'now'>,
  books: Map<number, WatchBook>,
): Promise<number> {
  return db.inTransaction(async (tx) => {
    const pending = await db.rows<Pending>(
      // Materialised: a plan that asked the picking query more than once would lock more each time.
      `WITH picked AS MATERIALIZED (SELECT id FROM entries WHERE analysed_at IS NULL ORDER BY id LIMIT $1 FOR NO KEY UPDATE SKIP LOCKED)
       SELECT e.id, e.brand_id AS "brandId", e.thread_id AS "threadId", e.direction, e.channel, e.title, e.text, e.rating, e.at,
         e.corrected_by IS NOT NULL AS corrected, coalesce(a.handle, a.name) AS voice
       FROM picked JOIN entries e ON e.id = picked.id LEFT JOIN accounts a ON a.id = e.account_id`,
      [analysisBatch],
      tx,
    )
    if (!pending.length) return 0
    const reads = pending.map(readEntry)
    await store(db, reads, new Date(now()), tx)
    for (const brandId of new Set(pending.map((p) => p.brandId))) {
      const own = reads.filter((r) => r.entry.brandId === brandId)
      const incoming = own.filter((r) => r.entry.direction === 'in')
      const book = books.get(brandId) ?? new WatchBook(brandId)
      books.set(brandId, book)
      await book.mark(
        db,
        incoming.map(({ entry, language }) => ({ ...entry, language })),
        tx,
      )
      const threads = [...new Set(own.map((r) => r.entry.threadId))]
      await refreshThreads(db, threads, await hoursOf(db, brandId, tx), tx)
      await live.tell(brandId, { kind: 'entries', threads, count: incoming.length }, tx)
    }
    return pending.length
  })
}

function readEntry(entry: Pending): Read {
  const whole = joinTitle(entry.title, entry.text)
  const language = detectLanguage(whole)
  const reading = readSentiment(whole, { language })
  const label = entry.direction === 'out' ? 'unread' : labelOfReview(entry.rating, reading)
  return { entry, language, reading, label, words: searchWords(whole) }
}

async function store(db: Database, reads: readonly Read[], at: Date, tx: Tx): Promise<void> {
  await db.rows(
    `UPDATE entries e SET language = n.language, sentiment = CASE WHEN e.corrected_by IS NULL THEN n.sentiment ELSE e.sentiment END,
       score = n.score, confidence = n.confidence, spans = n.spans, search = array_to_tsvector(ARRAY(SELECT jsonb_array_elements_text(n.words))), analysed_at = $1
     FROM unnest($2::bigint[], $3::text[], $4::text[], $5::real[], $6::real[], $7::jsonb[], $8::jsonb[])
       AS n (id, language, sentiment, score, confidence, spans, words) WHERE e.id = n.id`,
    [
      at,
      reads.map((r) => r.entry.id),
      reads.map((r) => r.language),
      reads.map((r) => r.label),
      reads.map((r) => r.reading.score),
      reads.map((r) => r.reading.confidence),
      reads.map((r) =>
        JSON.stringify(
          r.reading.spans.map((s) => ({ ...s, contribution: Math.round(s.contribution * 100) / 100 })),
        ),
      ),
      reads.map((r) => JSON.stringify(r.words)),
    ],
    tx,
  )
}
