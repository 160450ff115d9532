import { parentPort, workerData } from 'node:worker_threads'
import pg from 'pg'
import { shortened } from '@murrabel/core/text'
import { type FeedPreview, type RowProblem, fieldProblem } from '@murrabel/contract'
import { FeedError, itemOfEntry, parseFeed } from '../connectors/index.ts'
import { Refusal } from '../problem.ts'
import { previewReviews, readReviews } from '../files/readReviews.ts'
import { readOpml } from '../files/readOpml.ts'
import { importDocument } from '../store/queries/imports/imports.ts'
import type { FileQuestion, RowsPage, RowsQuestion } from './fileMessages.ts'

/** Reads outside documents beside the server's own thread. What is refused goes back as a value. */
const pool = new pg.Pool({ connectionString: String(workerData), max: 1 })
// A connection that breaks while idle is made again for the next question.
pool.on('error', () => {})

async function documentOf(importId: number): Promise<{ kind: string; document: string }> {
  const { sql, values } = importDocument(importId)
  const { rows } = await pool.query(sql, values)
  const found = rows[0] as { kind: string; document: string | null } | undefined
  if (found?.document == null) throw new Refusal('notFound')
  return { kind: found.kind, document: found.document }
}

function feedOf(document: string): ReturnType<typeof parseFeed> {
  try {
    return parseFeed(document)
  } catch (error) {
    if (!(error instanceof FeedError)) throw error
    throw new Refusal('feedUnreadable', {
      fields: [fieldProblem('document', error.reason)],
    })
  }
}

function previewFeed(document: string): FeedPreview {
  const { format, title, entries } = feedOf(document)
  return {
    format,
    title: shortened(title, 200),
    entries: entries.length,
    undated: entries.filter((entry) => entry.at === null).length,
    sample: entries.slice(0, 5).map((entry) => ({
      title: shortened(entry.title || entry.text, 80),
      at: entry.at === null ? null : new Date(entry.at).toISOString(),
    })),
  }
}

interface WholeFile {
  items: RowsPage['items']
  problems: RowProblem[]
}

/** The rows of the file that is being brought in: asked for page by page, it is read once. */
let last: { key: string; file: WholeFile } | null = null

async function wholeFile(importId: number, asked: RowsQuestion): Promise<WholeFile> {
  const key = JSON.stringify([importId, asked])
  if (last?.key === key) return last.file
  const { document } = await documentOf(importId)
  const file = asked.of === 'reviews' ? readReviews(document, asked.question) : readArticles(document, asked)
  last = { key, file }
  return file
}

function readArticles(document: string, { name, now }: { name: string; now: number }): WholeFile {
  const feed = feedOf(document)
  const source = { id: `file:${name}`, title: feed.title || name }
  return {
    items: feed.entries.map((entry) => ({ ...itemOfEntry(entry, source, now), place: null })),
    problems: feed.entries.flatMap((entry, i) =>
      entry.at === null
        ? [
            {
              line: i + 1,
              field: 'at',
              reason: 'rowUndated',
              value: shortened(entry.title, 80),
            },
          ]
        : [],
    ),
  }
}

/** Problems that are kept: a list of more is read by nobody. */
const problemsKept = 500

async function answerOf(question: FileQuestion): Promise<unknown> {
  switch (question.kind) {
    case 'feed':
      return parseFeed(question.document)
    case 'opml':
      return readOpml(question.document)
    case 'preview': {
      const { kind, document } = await documentOf(question.importId)
      return kind === 'reviews'
        ? { reviews: previewReviews(document), feed: null }
        : { reviews: null, feed: previewFeed(document) }
    }
    case 'rows': {
      const { importId, from, count, kind: _kind, ...asked } = question
      const { items, problems } = await wholeFile(importId, asked as RowsQuestion)
      return {
        items: items.slice(from, from + count),
        total: items.length,
        problems: problems.slice(0, problemsKept),
        refused: asked.of === 'reviews' ? problems.length : 0,
      } satisfies RowsPage
    }
  }
}

parentPort?.on('message', async ({ id, question }: { id: number; question: FileQuestion }) => {
  try {
    parentPort?.postMessage({ id, answer: await answerOf(question) })
  } catch (error) {
    if (error instanceof Refusal)
      parentPort?.postMessage({ id, refusal: { code: error.code, more: error.more } })
    else {
      const feed = error instanceof FeedError ? error.reason : undefined
      parentPort?.postMessage({ id, error: error instanceof Error ? error.message : String(error), feed })
    }
  }
})
