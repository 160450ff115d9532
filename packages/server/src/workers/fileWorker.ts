import { parentPort, workerData } from 'node:worker_threads'
import pg from 'pg'
import { shortened } from '@murrabel/core/text'
import { type FeedPreview, type RowProblem, fieldProblem } from '@murrabel/contract'
import { sniffFile } from '../attachments/picture.ts'
import { FeedError, itemOfEntry, parseFeed, readMail, type ConnectorProfile } from '../connectors/index.ts'
import { Refusal } from '../problem.ts'
import { previewReviews, readReviews } from '../files/readReviews.ts'
import { checkMailFile, itemsOfMails, type MailFile } from '../files/readMbox.ts'
import { previewCards, readCards } from '../files/readCards.ts'
import { readChats } from '../files/readChats.ts'
import { previewCustomers, readCustomers, type ReadCustomers } from '../files/readCustomers.ts'
import { readHolidays } from '../files/readHolidays.ts'
import { readOpml } from '../files/readOpml.ts'
import { importDocument } from '../store/queries/imports/imports.ts'
import type {
  CustomersPage,
  CustomersQuestion,
  FileQuestion,
  ImportPreviews,
  RowsPage,
  RowsQuestion,
} from './fileMessages.ts'

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

async function wholeFile(importId: number, asked: Exclude<RowsQuestion, { of: 'mail' }>): Promise<WholeFile> {
  const key = JSON.stringify([importId, asked])
  if (last?.key === key) return last.file
  const { document } = await documentOf(importId)
  const file =
    asked.of === 'reviews'
      ? readReviews(document, asked.question)
      : asked.of === 'chat'
        ? readConversations(document)
        : readArticles(document, asked)
  last = { key, file }
  return file
}

function readConversations(document: string): WholeFile {
  const { items, problems } = readChats(document)
  return { items: items.map((item) => ({ ...item, place: null })), problems }
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

/** The customers of the file that is being brought in, read once as well. */
let lastCustomers: { key: string; file: ReadCustomers } | null = null

async function customerRows(
  importId: number,
  { from, count }: { from: number; count: number },
  asked: CustomersQuestion,
): Promise<CustomersPage> {
  const key = JSON.stringify([importId, asked])
  if (lastCustomers?.key !== key) {
    const { document } = await documentOf(importId)
    const file =
      asked.of === 'cards' ? readCards(document, asked.country) : readCustomers(document, asked.question)
    lastCustomers = { key, file }
  }
  const { items, problems } = lastCustomers.file
  const page = items.slice(from, from + count)
  // A large file is not kept once it is through.
  if (!page.length) lastCustomers = null
  return {
    items: page,
    total: items.length,
    problems: problems.slice(0, problemsKept),
    refused: problems.length,
  }
}

async function previewOf(importId: number): Promise<ImportPreviews> {
  const { kind, document } = await documentOf(importId)
  const none: ImportPreviews = { reviews: null, customers: null, feed: null, history: null }
  switch (kind) {
    case 'mail':
      return { ...none, history: (await checkMailFile(bytesOf(document))).preview }
    case 'chat':
      return { ...none, history: readChats(document).preview }
    case 'cards':
      return { ...none, history: previewCards(document) }
    case 'customers':
      return { ...none, customers: previewCustomers(document) }
    case 'reviews':
      return { ...none, reviews: previewReviews(document) }
    default:
      return { ...none, feed: previewFeed(document) }
  }
}

const bytesOf = (document: string) => Buffer.from(document, 'base64')

/** Looked through once for all pages; its mails are read page by page, since their files are large. */
let lastMails: { importId: number; file: MailFile } | null = null

async function mailRows(
  importId: number,
  profile: ConnectorProfile,
  { from, count }: { from: number; count: number },
): Promise<RowsPage> {
  if (lastMails?.importId !== importId || from === 0) {
    const { document } = await documentOf(importId)
    lastMails = { importId, file: await checkMailFile(bytesOf(document)) }
  }
  const { mails, problems } = lastMails.file
  const items = await itemsOfMails(mails.slice(from, from + count), profile)
  if (!items.length) lastMails = null
  return {
    items: items.map((item) => ({ ...item, place: null })),
    total: mails.length,
    problems: problems.slice(0, problemsKept),
    refused: 0,
  }
}

/** Problems that are kept: a list of more is read by nobody. */
const problemsKept = 500

async function answerOf(question: FileQuestion): Promise<unknown> {
  switch (question.kind) {
    case 'feed':
      return parseFeed(question.document)
    case 'mail':
      return readMail(question.bytes)
    case 'sniff':
      return sniffFile(question.bytes)
    case 'opml':
      return readOpml(question.document)
    case 'holidays':
      return readHolidays(question.document, question.now)
    case 'preview':
      return previewOf(question.importId)
    case 'customers': {
      const { importId, from, count, kind: _kind, ...asked } = question
      return customerRows(importId, { from, count }, asked)
    }
    case 'rows': {
      const { importId, from, count, kind: _kind, ...asked } = question
      if (asked.of === 'mail') return mailRows(importId, asked.profile, { from, count })
      const { items, problems } = await wholeFile(importId, asked as Exclude<RowsQuestion, { of: 'mail' }>)
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
