import type { Lens, LensContext } from '@murrabel/core/lens'
import type { EntryPage, EntryRow } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { authorName } from '../people/called.ts'
import { inDoubt } from '../shared/inDoubt.ts'
import { lensWhere } from './lensWhere.ts'
import { addAccess, Where } from '../shared/where.ts'

/** Where a page ends: the order's key (an instant or a number) and the entry's id. */
export interface PageKey {
  key: string | number
  id: number
}

export const printKey = ({ key, id }: PageKey) => Buffer.from(JSON.stringify([key, id])).toString('base64url')

/** A place in a list of this order; null for what is none. */
export function parseKey(text: string, order: Lens['order']): PageKey | null {
  if (!/^[\w-]{1,200}$/.test(text)) return null
  let parts: unknown
  try {
    parts = JSON.parse(Buffer.from(text, 'base64url').toString())
  } catch {
    return null
  }
  if (!Array.isArray(parts) || parts.length !== 2) return null
  const [key, id] = parts as [unknown, unknown]
  if (typeof id !== 'number' || !Number.isSafeInteger(id) || id < 0) return null
  const counted = order === 'reach' || order === 'distinctive'
  const fits = counted
    ? typeof key === 'number' && Number.isInteger(key) && key >= 0 && key <= 2_147_483_647
    : typeof key === 'string' && isoInstant.test(key) && !Number.isNaN(Date.parse(key))
  return fits ? { key: key as string | number, id } : null
}

const isoInstant = /^\d{4}-\d\d-\d\dT[\d:.]{5,15}Z$/

export const entryColumns = `e.id, e.thread_id AS "threadId", e.kind, e.channel, p.network, p.name AS profile, e.place_id AS "placeId",
  coalesce(${authorName('a')}, '') AS author, e.title, e.text, e.deleted_at IS NOT NULL AS deleted, e.rating, e.at, e.sentiment, e.wish,
  ${inDoubt('e')} AS doubt, t.state, t.given_to AS "givenTo", t.team_id AS "teamId", t.priority, t.spam_at IS NOT NULL AS spam, t.due_at AS "dueAt", t.pressing_at AS "pressingAt",
  e.private, e.paid, e.url, e.reach, e.spans, e.language, e.account_id AS "voiceId", e.story_id AS "storyId", e.corrected_by IS NOT NULL AS corrected,
  ARRAY(SELECT g.tag_id FROM thread_tags g WHERE g.thread_id = e.thread_id ORDER BY 1) AS tags, EXISTS (SELECT 1 FROM kept_entries k WHERE k.entry_id = e.id) AS kept,
  EXISTS (SELECT 1 FROM outside_actions x WHERE x.thread_id = e.thread_id AND x.kind = 'reply' AND x.state = 'failed') AS "notSent"`

const orders = {
  newest: { key: 'e.at', direction: 'DESC', compare: '<' },
  oldest: { key: 'e.at', direction: 'ASC', compare: '>' },
  pressing: { key: 't.pressing_at', direction: 'ASC', compare: '>' },
  reach: { key: 'e.reach', direction: 'DESC', compare: '<' },
} as const

/** The matched words: the watch's own, or those of all watches of the group. */
function hitsSql(lens: Lens, context: LensContext, where: Where): string {
  if (lens.watch !== null) return 'm.spans'
  if (lens.group === null) return ''
  const watches = where.bind(context.watchesOf(lens.group))
  return `(SELECT jsonb_agg(s) FROM mentions g, jsonb_array_elements(g.spans) s WHERE g.entry_id = e.id AND g.watch_id = ANY(${watches}::int[]))`
}

/** Rows by their ids, in the order of the ids; what the reader may not see is left out. */
export async function entriesById(
  db: Database,
  { ids, reader }: { ids: readonly number[]; reader: Reader },
): Promise<EntryRow[]> {
  const where = new Where()
  addAccess(where, reader, 'e')
  const list = where.bind(ids)
  where.add(`e.id = ANY(${list}::bigint[])`)
  return db.rows<EntryRow>(
    `SELECT ${entryColumns} FROM entries e JOIN threads t ON t.id = e.thread_id JOIN profiles p ON p.id = e.profile_id
     LEFT JOIN accounts a ON a.id = e.account_id WHERE ${where.toString()} ORDER BY array_position(${list}::bigint[], e.id)`,
    where.values,
  )
}

/** The column that gives the order. */
function keyOf(lens: Lens, key: string): string {
  // A watch's mentions carry their time, so that its index gives the order.
  if (key === 'e.at') return lens.watch !== null ? 'm.at' : key
  // Within a range the index on pressing time would pass over everything before it: the planner is kept from it.
  return key === 't.pressing_at' && lens.range !== null ? `(${key} + interval '0')` : key
}

interface Choice {
  threads: readonly number[]
  entries?: readonly number[]
}

function chosen({ threads, entries = [] }: Choice, where: Where): string {
  const ofThreads = `e.thread_id = ANY(${where.bind(threads)}::bigint[])`
  return entries.length ? `(${ofThreads} OR e.id = ANY(${where.bind(entries)}::bigint[]))` : ofThreads
}

/**
 * One page of a lens, by keyset: the page is chosen on narrow rows first, then filled with what is shown.
 *
 * @param limit rows at most
 * @param choice only rows of these threads, and these entries
 */
export async function entryPage(
  db: Database,
  {
    lens,
    context,
    reader,
    after,
    limit,
    choice = null,
  }: {
    lens: Lens
    context: LensContext
    reader: Reader
    after: PageKey | null
    limit: number
    choice?: Choice | null
  },
): Promise<EntryPage> {
  const { from, where } = lensWhere(lens, context, reader)
  if (choice) where.add(chosen(choice, where))
  // The most distinctive are ranked by whoever knows the phrases; asked for here, they come by time.
  const order = orders[lens.order === 'distinctive' ? 'newest' : lens.order]
  const key = keyOf(lens, order.key)
  // The lead's id stands in the thread's index; it is the same number.
  const tie = lens.unit === 'threads' && lens.order === 'pressing' ? 't.lead_entry_id' : 'e.id'
  if (after)
    where.add(
      `(${key}, ${tie}) ${order.compare} (${where.bind(after.key)}::${order.key === 'e.reach' ? 'int' : 'timestamptz'}, ${where.bind(after.id)}::bigint)`,
    )
  const hits = hitsSql(lens, context, where)
  const rows = await db.rows<EntryRow & { key: Date | number }>(
    `WITH page AS (SELECT e.id, ${key} AS key ${hits && `, ${hits} AS hits`} FROM ${from} WHERE ${where.toString()}
       ORDER BY ${key} ${order.direction}, ${tie} ${order.direction} LIMIT ${where.bind(limit + 1)})
     SELECT ${entryColumns}, page.key ${hits && ', page.hits'}
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
    next:
      more && last
        ? printKey({ key: last.key instanceof Date ? last.key.toISOString() : last.key, id: last.id })
        : null,
  }
}
