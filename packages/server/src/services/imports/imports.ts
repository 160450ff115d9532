import { randomBytes } from 'node:crypto'
import { shortened } from '@murrabel/core/text'
import type { FeedPreview, ImportAnswer, ImportReviewsDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { FeedError, itemOfEntry, parseFeed, type CollectedItem } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { audit } from '../brand/audit.ts'
import { ingest, type IngestProfile } from '../entries/ingest.ts'
import { readReviews } from './reviewsCsv.ts'

/** Rows stored in one transaction. */
const batch = 1000

/** Brings in a table of reviews. The good rows are kept, the bad ones told; the same file again adds nothing. */
export async function importReviews(
  context: Context,
  reader: Reader,
  { name, csv, mapping }: ImportReviewsDraft,
): Promise<ImportAnswer> {
  const { db, now } = context
  const brand = await db.one<{ zone: string }>('SELECT zone FROM brands WHERE id = $1', [reader.brandId])
  const places = await db.rows<{ id: number; name: string }>(
    'SELECT id, name FROM places WHERE brand_id = $1',
    [reader.brandId],
  )
  const read = readReviews(csv, mapping, {
    zone: brand?.zone ?? 'UTC',
    places: places.map((p) => p.name),
    now: now(),
  })
  let added = 0
  for (const placeName of new Set(read.items.map((i) => i.place))) {
    const place = places.find((p) => p.name === placeName) ?? null
    const items = read.items.filter((i) => i.place === placeName)
    // A profile belongs to one place, so that counts by place can be kept by profile.
    added += await store(context, reader, { name, channel: 'import', place, items })
  }
  await audit(db, reader, 'importReviews', name, { added, refused: read.problems.length })
  return {
    added,
    known: read.items.length - added,
    refused: read.problems.length,
    problems: read.problems.slice(0, 500),
  }
}

function readFeed(document: string): ReturnType<typeof parseFeed> {
  try {
    return parseFeed(document)
  } catch (error) {
    if (!(error instanceof FeedError)) throw error
    throw new Refusal(
      'feedUnreadable',
      { fields: [{ field: 'document', code: 'unreadable', message: `The file is ${error.message}.` }] },
      { cause: error },
    )
  }
}

/** What a feed file holds, before it is brought in. */
export function previewFeed(document: string): FeedPreview {
  const { format, title, entries } = readFeed(document)
  return {
    format,
    title,
    entries: entries.length,
    undated: entries.filter((entry) => entry.at === null).length,
    sample: entries.slice(0, 5).map((entry) => ({
      title: entry.title || shortened(entry.text, 80),
      at: entry.at === null ? null : new Date(entry.at).toISOString(),
    })),
  }
}

/** Brings in the articles of a feed file. */
export async function importFeed(
  context: Context,
  reader: Reader,
  { name, document }: { name: string; document: string },
): Promise<ImportAnswer> {
  const feed = readFeed(document)
  const items = feed.entries.map((entry) =>
    itemOfEntry(entry, { id: `file:${name}`, title: feed.title || name }, context.now()),
  )
  const added = await store(context, reader, { name, channel: 'news', place: null, items })
  const undated = feed.entries.flatMap((entry, i) =>
    entry.at === null
      ? [
          {
            line: i + 1,
            field: 'at',
            reason: 'the article has no date; today was put in its place',
            value: shortened(entry.title, 80),
          },
        ]
      : [],
  )
  await audit(context.db, reader, 'importFeed', name, { added })
  return { added, known: items.length - added, refused: 0, problems: undated.slice(0, 500) }
}

interface Store {
  name: string
  channel: string
  place: { id: number; name: string } | null
  items: CollectedItem[]
}

async function store(
  context: Context,
  reader: Reader,
  { name, channel, place, items }: Store,
): Promise<number> {
  const profile = await context.db.one<IngestProfile>(
    `INSERT INTO profiles AS p (brand_id, place_id, channel, network, outside_id, name, status, hook_token) VALUES ($1, $2, $3, 'file', $4, $5, 'connected', $6)
     ON CONFLICT (brand_id, network, outside_id) DO UPDATE SET collected_at = now()
     RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network`,
    [
      reader.brandId,
      place?.id ?? null,
      channel,
      `${name}|${place?.name ?? ''}`,
      place ? `${name}, ${place.name}` : name,
      randomBytes(18).toString('base64url'),
    ],
  )
  let added = 0
  for (let i = 0; i < items.length; i += batch)
    added += (await ingest(context, profile!, items.slice(i, i + batch))).added
  context.jobs.nudge('analyse')
  await context.live.tell(reader.brandId, { kind: 'profiles' })
  return added
}
