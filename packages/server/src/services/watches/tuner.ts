import { bucketIndex, bucketStarts, daysBefore } from '@murrabel/core/measures'
import { precisionOf, verdictOf } from '@murrabel/core/tuner'
import {
  watchProblems,
  type EntryRow,
  type TunerAnswer,
  type TunerMark,
  type WatchQueryDraft,
} from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { entriesById } from '../../store/queries/entries/entryPage.ts'
import type { Database, Tx } from '../../store/database.ts'
import { record } from '../log/record.ts'
import { addAccess, Where } from '../../store/queries/shared/where.ts'

const days = 90
const sampleSize = 40
/** Read in one go; more than this many entries in 90 days and the newest stand for them. */
const readLimit = 100_000

export interface TunerQuestionDraft {
  query: WatchQueryDraft
  /** The watch that is being changed, if there is one: its kept marks count. */
  watchId?: number | null
  /** Marks that are not kept yet. */
  marks?: TunerMark[]
  /** Hits that stay in the sample. */
  keep?: number[]
}

/** Tries a watch on the last 90 days without saving it: what it hits, how much of that is on topic, and what would make it better. */
export async function tuneWatch(
  { db, now, textWorker }: Pick<Context, 'db' | 'now' | 'textWorker'>,
  reader: Reader,
  { query, watchId = null, marks: fresh = [], keep = [] }: TunerQuestionDraft,
): Promise<TunerAnswer> {
  const fields = watchProblems(query)
  if (fields.length) throw new Refusal('invalid', { fields })
  const brand = await db.one<{ zone: string }>('SELECT zone FROM brands WHERE id = $1', [reader.brandId])
  const zone = brand?.zone ?? 'UTC'
  const starts = bucketStarts({
    from: daysBefore(now(), days - 1, zone),
    to: now() + 1,
    unit: 'day',
    zone,
  })
  const [kept, others] = await Promise.all([
    marksOf({ db }, reader, watchId),
    db.rows<{ id: number; name: string; query: WatchQueryDraft }>(
      'SELECT id, name, query FROM watches WHERE brand_id = $1 AND deleted_at IS NULL AND id <> $2 ORDER BY id',
      [reader.brandId, watchId ?? 0],
    ),
  ])
  const marks = new Map<number, boolean>([...kept, ...fresh].map((m) => [m.entryId, m.onTopic]))
  const found = await textWorker.ask({
    kind: 'tuner',
    entries: entriesSince(reader, new Date(starts[0]!)),
    query,
    marks: [...marks],
    others: others.map(({ id, query: other }) => ({ id, query: other })),
    sample: sampleSize,
    keep,
  })
  const perDay = starts.map((at) => ({ at: new Date(at).toISOString(), count: 0 }))
  for (const at of found.times) {
    const day = perDay[bucketIndex(starts, at)]
    if (day) day.count++
  }
  const shown = [
    ...found.sample.map((s) => s.id),
    ...found.exclusions.flatMap((e) => e.unmarked),
    ...found.additions.flatMap((a) => a.sample),
  ]
  const rows = new Map(
    (await entriesById(db, { ids: [...new Set(shown)], reader })).map((row) => [row.id, row]),
  )
  const rowsOf = (ids: readonly number[]): EntryRow[] => ids.flatMap((id) => rows.get(id) ?? [])
  const precision = precisionOf(found.onTopic, found.marked)
  return {
    hits: found.hits,
    searched: found.searched,
    cut: found.searched >= readLimit,
    days: starts.length,
    perDay,
    channels: found.channels.map(([key, count]) => ({ key, count })),
    languages: found.languages.map(([key, count]) => ({ key, count })),
    overlap: found.overlap.map(([id, both]) => ({
      id,
      both,
      name: others.find((o) => o.id === id)?.name ?? '',
    })),
    precision,
    verdict: verdictOf({ hits: found.hits, precision, missing: found.missing }),
    exclusions: found.exclusions.map(({ unmarked, ...rest }) => ({ ...rest, sample: rowsOf(unmarked) })),
    additions: found.additions.map((addition) => ({ ...addition, sample: rowsOf(addition.sample) })),
    sample: found.sample.flatMap(({ id, spans }) => {
      const row = rows.get(id)
      return row ? [{ ...row, hits: spans, onTopic: marks.get(id) ?? null }] : []
    }),
  }
}

function entriesSince(reader: Reader, since: Date) {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.direction = 'in' AND e.at >= ${where.bind(since)}`)
  return {
    sql: `SELECT e.id, e.title, e.text, e.language, e.channel, e.at, coalesce(a.handle, a.name) AS voice FROM entries e
      LEFT JOIN accounts a ON a.id = e.account_id WHERE ${where.toString()} ORDER BY e.at DESC, e.id DESC LIMIT ${readLimit}`,
    values: where.values,
  }
}

/** Marks of a watch, on entries that the reader may see. */
export function marksOf(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  watchId: number | null,
): Promise<TunerMark[]> {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`k.watch_id = ${where.bind(watchId ?? 0)}`)
  return db.rows<TunerMark>(
    `SELECT k.entry_id AS "entryId", k.on_topic AS "onTopic" FROM marks k JOIN watches w ON w.id = k.watch_id AND w.brand_id = ${where.bind(reader.brandId)}
     JOIN entries e ON e.id = k.entry_id WHERE ${where.toString()}`,
    where.values,
  )
}

/** Keeps marks of a watch; null takes one away. Marks are the team's: the last word stands. */
export async function markHits(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  watchId: number,
  marks: readonly { entryId: number; onTopic: boolean | null }[],
): Promise<void> {
  await db.inTransaction(async (tx) => {
    const watch = await db.one(
      'SELECT 1 FROM watches WHERE id = $1 AND brand_id = $2 AND deleted_at IS NULL',
      [watchId, reader.brandId],
      tx,
    )
    if (!watch) throw new Refusal('notFound')
    await checkEntries(db, reader, marks, tx)
    const taken = marks.filter((m) => m.onTopic === null).map((m) => m.entryId)
    const given = marks.filter((m) => m.onTopic !== null)
    await db.rows(
      'DELETE FROM marks WHERE watch_id = $1 AND entry_id = ANY($2::bigint[])',
      [watchId, taken],
      tx,
    )
    await db.rows(
      `INSERT INTO marks (watch_id, entry_id, on_topic, colleague_id) SELECT $1::int, e.id, n.on_topic, $2::int
       FROM unnest($3::bigint[], $4::boolean[]) AS n (entry, on_topic) JOIN entries e ON e.id = n.entry AND e.brand_id = $5
       ON CONFLICT (watch_id, entry_id) DO UPDATE SET on_topic = excluded.on_topic, colleague_id = excluded.colleague_id, at = now()`,
      [watchId, reader.colleagueId, given.map((m) => m.entryId), given.map((m) => m.onTopic), reader.brandId],
      tx,
    )
    await record(db, reader, { kind: 'markHits', on: ['watch', watchId], detail: { marks } }, tx)
  })
}

/** Marks of entries that are none of the reader's are not taken. */
async function checkEntries(
  db: Database,
  reader: Reader,
  marks: readonly { entryId: number }[],
  tx: Tx,
): Promise<void> {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.id = ANY(${where.bind(marks.map(({ entryId }) => entryId))}::bigint[])`)
  const known = await db.rows<{ id: number }>(
    `SELECT e.id FROM entries e WHERE ${where.toString()}`,
    where.values,
    tx,
  )
  if (!known.length) throw new Refusal('notFound')
}
