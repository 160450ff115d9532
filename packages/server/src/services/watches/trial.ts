import { bucketIndex, bucketStarts } from '@murrabel/core/measures'
import { compileWatches } from '@murrabel/core/watches'
import { watchProblems, type EntryRow, type TrialAnswer, type WatchQueryDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { entryColumns } from '../../store/queries/entryPage.ts'
import { addAccess, Where } from '../../store/queries/where.ts'
import { docOf, hitSpans, type MarkedEntry } from '../analysis/watchBook.ts'

const days = 90
const sampleSize = 30
/** Read in one go; more than this many entries in 90 days and the newest stand for them. */
const readLimit = 100_000

/** Tries a watch on the last 90 days without saving it: hits, hits a day, and a sample spread over the time. */
export async function tryWatch(
  { db, now }: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  query: WatchQueryDraft,
): Promise<TrialAnswer> {
  const fields = watchProblems(query)
  if (fields.length) throw new Refusal('invalid', { fields })
  const brand = await db.one<{ zone: string }>('SELECT zone FROM brands WHERE id = $1', [reader.brandId])
  const starts = bucketStarts({
    from: now() - (days - 1) * 86_400_000,
    to: now() + 1,
    unit: 'day',
    zone: brand?.zone ?? 'UTC',
  })
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.direction = 'in' AND e.at >= ${where.bind(new Date(starts[0]!))}`)
  const entries = await db.rows<MarkedEntry>(
    `SELECT e.id, e.title, e.text, e.language, e.channel, e.at, coalesce(a.handle, a.name) AS voice FROM entries e LEFT JOIN accounts a ON a.id = e.account_id
     WHERE ${where.toString()} ORDER BY e.at DESC, e.id DESC LIMIT ${readLimit}`,
    where.values,
  )
  const compiled = compileWatches([{ ...query, id: 0 }])
  const hits = entries.flatMap((entry) =>
    compiled.match(docOf(entry)).map((hit) => ({ entry, spans: hitSpans(hit) })),
  )
  const perDay = starts.map((at) => ({ at: new Date(at).toISOString(), count: 0 }))
  for (const { entry } of hits) {
    const day = perDay[bucketIndex(starts, entry.at.getTime())]
    if (day) day.count++
  }
  const sample = spread(hits, sampleSize)
  const rows = await db.rows<EntryRow>(
    `SELECT ${entryColumns} FROM entries e JOIN threads t ON t.id = e.thread_id JOIN profiles p ON p.id = e.profile_id LEFT JOIN accounts a ON a.id = e.account_id WHERE e.id = ANY($1::bigint[])`,
    [sample.map((s) => s.entry.id)],
  )
  const byId = new Map(rows.map((r) => [r.id, r]))
  return {
    hits: hits.length,
    searched: entries.length,
    perDay,
    days: starts.length,
    sample: sample.flatMap(({ entry, spans }) => {
      const row = byId.get(entry.id)
      return row ? [{ ...row, hits: spans }] : []
    }),
  }
}

/** So many of a list, evenly spread over it, in its order. */
export function spread<T>(list: readonly T[], count: number): T[] {
  if (list.length <= count) return [...list]
  return Array.from({ length: count }, (_, i) => list[Math.floor((i * list.length) / count)]!)
}
