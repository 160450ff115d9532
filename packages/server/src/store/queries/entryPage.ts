import type { Lens, LensContext } from '@murrabel/core/lens'
import type { EntryPage, EntryRow } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Database } from '../database.ts'
import { lensWhere } from './lensWhere.ts'

/** Where a page ends: the order's key and the entry's id. */
export interface PageKey {
  at: string
  id: number
}

export const printKey = ({ at, id }: PageKey) => Buffer.from(JSON.stringify([at, id])).toString('base64url')

export function parseKey(text: string): PageKey | null {
  try {
    const [at, id] = JSON.parse(Buffer.from(text, 'base64url').toString()) as [unknown, unknown]
    return typeof at === 'string' && !Number.isNaN(Date.parse(at)) && typeof id === 'number'
      ? { at, id }
      : null
  } catch {
    return null
  }
}

export const entryColumns = `e.id, e.thread_id AS "threadId", e.kind, e.channel, p.network, p.name AS profile, e.place_id AS "placeId",
  coalesce(a.name, '') AS author, e.title, e.text, e.rating, e.at, e.sentiment, t.state, t.given_to AS "givenTo", t.due_at AS "dueAt",
  e.private, e.paid, e.url, e.reach, e.spans`

const orders = {
  newest: { key: 'e.at', direction: 'DESC', compare: '<' },
  oldest: { key: 'e.at', direction: 'ASC', compare: '>' },
  pressing: { key: 't.pressing_at', direction: 'ASC', compare: '>' },
} as const

/**
 * One page of a lens, by keyset: the page is chosen on narrow rows first, then filled with what is shown.
 *
 * @param limit rows at most
 */
export async function entryPage(
  db: Database,
  {
    lens,
    context,
    reader,
    after,
    limit,
  }: { lens: Lens; context: LensContext; reader: Reader; after: PageKey | null; limit: number },
): Promise<EntryPage> {
  const { from, where } = lensWhere(lens, context, reader)
  const order = orders[lens.order]
  // A watch's mentions carry their time, so that its index gives the order.
  const key = lens.watch !== null && lens.order !== 'pressing' ? 'm.at' : order.key
  // The lead's id stands in the thread's index; it is the same number.
  const tie = lens.unit === 'threads' && lens.order === 'pressing' ? 't.lead_entry_id' : 'e.id'
  if (after)
    where.add(
      `(${key}, ${tie}) ${order.compare} (${where.bind(new Date(after.at))}, ${where.bind(after.id)}::bigint)`,
    )
  const hits = lens.watch === null ? '' : ', m.spans AS hits'
  const rows = await db.rows<EntryRow & { key: Date }>(
    `WITH page AS (SELECT e.id, ${key} AS key ${hits} FROM ${from} WHERE ${where.toString()}
       ORDER BY ${key} ${order.direction}, ${tie} ${order.direction} LIMIT ${where.bind(limit + 1)})
     SELECT ${entryColumns}, page.key ${lens.watch === null ? '' : ', page.hits'}
     FROM page JOIN entries e ON e.id = page.id JOIN threads t ON t.id = e.thread_id JOIN profiles p ON p.id = e.profile_id
     LEFT JOIN accounts a ON a.id = e.account_id
     ORDER BY page.key ${order.direction}, e.id ${order.direction}`,
    where.values,
  )
  const more = rows.length > limit
  const shown = more ? rows.slice(0, limit) : rows
  const last = shown[shown.length - 1]
  return {
    rows: shown.map(({ key: _key, ...row }) => row),
    next: more && last ? printKey({ at: last.key.toISOString(), id: last.id }) : null,
  }
}
