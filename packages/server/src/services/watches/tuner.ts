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
import { zoneOfBrand } from '../../store/queries/brand/brand.ts'
import { otherWatches, watchExists } from '../../store/queries/watches/watches.ts'
import {
  entriesOnTrial,
  entriesSeenBy,
  marksSeenBy,
  removeMarks,
  putMarks,
} from '../../store/queries/watches/marks.ts'
import type { TunerFound } from '../../workers/textMessages.ts'
import { record } from '../log/index.ts'

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

interface Shown {
  /** Starts of the days tried, epoch milliseconds. */
  starts: readonly number[]
  marks: ReadonlyMap<number, boolean>
  rows: ReadonlyMap<number, EntryRow>
  /** Other watches by their id. */
  names: ReadonlyMap<number, string>
}

function tunerAnswer(found: TunerFound, { starts, marks, rows, names }: Shown): TunerAnswer {
  const rowsOf = (ids: readonly number[]): EntryRow[] => ids.flatMap((id) => rows.get(id) ?? [])
  const precision = precisionOf(found.onTopic, found.marked)
  return {
    hits: found.hits,
    searched: found.searched,
    cut: found.searched >= readLimit,
    days: starts.length,
    perDay: countByDay(starts, found.times),
    channels: found.channels.map(([key, count]) => ({ key, count })),
    languages: found.languages.map(([key, count]) => ({ key, count })),
    overlap: found.overlap.map(([id, both]) => ({ id, both, name: names.get(id) ?? '' })),
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

function countByDay(starts: readonly number[], times: readonly number[]): TunerAnswer['perDay'] {
  const perDay = starts.map((at) => ({ at: new Date(at).toISOString(), count: 0 }))
  for (const at of times) {
    const day = perDay[bucketIndex(starts, at)]
    if (day) day.count++
  }
  return perDay
}

/** Every entry that is shown somewhere, once. */
async function rowsShown(
  db: Database,
  reader: Reader,
  { sample, exclusions, additions }: TunerFound,
): Promise<Map<number, EntryRow>> {
  const ids = new Set([
    ...sample.map((s) => s.id),
    ...exclusions.flatMap((e) => e.unmarked),
    ...additions.flatMap((a) => a.sample),
  ])
  const rows = await entriesById(db, { ids: [...ids], reader })
  return new Map(rows.map((row) => [row.id, row]))
}

/** Tries a watch on the last 90 days without saving it: what it hits, how much of that is on topic, and what would make it better. */
export async function tuneWatch(
  { db, now, textWorker }: Pick<Context, 'db' | 'now' | 'textWorker'>,
  reader: Reader,
  { query, watchId = null, marks: fresh = [], keep = [] }: TunerQuestionDraft,
): Promise<TunerAnswer> {
  const fields = watchProblems(query)
  if (fields.length) throw new Refusal('invalid', { fields })
  const brand = await zoneOfBrand(db, reader.brandId)
  const zone = brand?.zone ?? 'UTC'
  const starts = bucketStarts({
    from: daysBefore(now(), days - 1, zone),
    to: now() + 1,
    unit: 'day',
    zone,
  })
  const [kept, others] = await Promise.all([
    marksSeenBy(db, reader, watchId ?? 0),
    otherWatches(db, { brandId: reader.brandId, id: watchId ?? 0 }),
  ])
  const marks = new Map<number, boolean>([...kept, ...fresh].map((m) => [m.entryId, m.onTopic]))
  const found = await textWorker.ask({
    kind: 'tuner',
    entries: entriesOnTrial(reader, { since: new Date(starts[0]!), limit: readLimit }),
    query,
    marks: [...marks],
    others: others.map(({ id, query: other }) => ({ id, query: other })),
    sample: sampleSize,
    keep,
  })
  const rows = await rowsShown(db, reader, found)
  return tunerAnswer(found, { starts, marks, rows, names: new Map(others.map(({ id, name }) => [id, name])) })
}

/** Keeps marks of a watch; null takes one away. Marks are the team's: the last word stands. */
export async function markHits(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  watchId: number,
  marks: readonly { entryId: number; onTopic: boolean | null }[],
): Promise<void> {
  await db.inTransaction(async (tx) => {
    const watch = await watchExists(db, { id: watchId, brandId: reader.brandId }, tx)
    if (!watch) throw new Refusal('notFound')
    await checkEntries(db, reader, marks, tx)
    const taken = marks.filter((m) => m.onTopic === null).map((m) => m.entryId)
    const given = marks.filter((m) => m.onTopic !== null)
    await removeMarks(db, { watchId, entryIds: taken }, tx)
    await putMarks(
      db,
      {
        watchId,
        colleagueId: reader.colleagueId,
        entryIds: given.map((m) => m.entryId),
        onTopic: given.map((m) => m.onTopic),
        brandId: reader.brandId,
      },
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
  const known = await entriesSeenBy(
    db,
    reader,
    marks.map(({ entryId }) => entryId),
    tx,
  )
  if (!known.length) throw new Refusal('notFound')
}
