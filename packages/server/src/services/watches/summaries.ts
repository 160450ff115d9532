import type { SentimentCounts, SummariesAnswer, WatchSummary } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { watchPeriods, type WatchPeriod } from '../../store/queries/watches/watchPeriods.ts'
import {
  comparedPeriods,
  halfOf,
  printPeriod,
  shownPeriod,
  type ComparedPeriods,
  type Period,
} from './shownRange.ts'
import { knownPeriods, missedOfWatches } from './outages.ts'
import { judgedTogether, usualOf } from './usual.ts'
import { watchIds } from '../../store/queries/watches/watches.ts'
import { lensContext, lensOf } from '../lens/index.ts'
import { addCounts, countOfAll, noCounts } from './sentimentCounts.ts'

/** Periods that say what is usual. */
export const usualPeriods = 6

/** How every watch stands in the time shown: its count against the usual, its net sentiment, its course. */
export async function watchSummaries(
  parts: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<SummariesAnswer> {
  const context = await lensContext(parts, reader)
  const period = shownPeriod(lensOf(query), context)
  const { zone } = context
  const compared = comparedPeriods(period, usualPeriods, { zone, now: context.now })
  const points = sparkPoints(period, compared, zone)
  const rows = await watchPeriods(parts.db, { reader, starts: points.edges, end: period.to, zone })
  const watches = await watchIds(parts.db, reader.brandId)
  const missed = await missedOfWatches(
    parts.db,
    { reader, watches: watches.map(({ id }) => id) },
    { from: compared.edges[0]!, to: period.to },
    context.now,
  )
  const known = (id: number) => knownPeriods(compared, { first: context.since, missed: missed.get(id) ?? [] })
  const byWatch = new Map<number, WatchPeriod[]>()
  for (const row of rows) byWatch.set(row.watch, [...(byWatch.get(row.watch) ?? []), row])
  const all = watches.map(({ id }) => summary(id, byWatch.get(id) ?? [], { points, known: known(id) }))
  return {
    range: printPeriod(period),
    watches: judgedTogether(all),
  }
}

interface SparkPoints {
  edges: number[]
  /** Of each edge: the period it counts for, and the point of the small line; null lies between periods. */
  of: { period: number | null; point: number | null }[]
}

/** Twice as many points as periods make the small line. */
function sparkPoints(period: Period, { edges, at, periods }: ComparedPeriods, zone: string): SparkPoints {
  const points: SparkPoints = { edges: [], of: [] }
  const add = (edge: number, of: SparkPoints['of'][number]) => {
    points.edges.push(edge)
    points.of.push(of)
  }
  edges.forEach((edge, i) => {
    const index = at.indexOf(i)
    const last = index === periods.length - 1
    // What comes after the present hour is shown, but not compared.
    if (index < 0)
      return add(edge, { period: null, point: i === edges.length - 1 ? 2 * periods.length - 1 : null })
    const { from, to } = periods[index]!
    add(from, { period: index, point: 2 * index })
    const half = halfOf({ from, to: last ? period.to : to }, zone)
    if (half > from && half < to) add(half, { period: index, point: 2 * index + 1 })
  })
  return points
}

function plainNet({ positive, neutral, negative }: SentimentCounts): WatchSummary['net'] {
  const n = positive + neutral + negative
  return n ? { net: (positive - negative) / n, n } : null
}

function summary(
  id: number,
  rows: readonly WatchPeriod[],
  { points, known }: { points: SparkPoints; known: readonly boolean[] },
): WatchSummary {
  const spark = new Array<number>(2 * (usualPeriods + 1)).fill(0)
  const compared = new Array<number>(usualPeriods + 1).fill(0)
  let now = noCounts()
  for (const row of rows) {
    const { period, point } = points.of[row.period]!
    if (period !== null) compared[period]! += countOfAll(row)
    if (point !== null) spark[point]! += countOfAll(row)
    if (point !== null && point >= 2 * usualPeriods) now = addCounts(now, row)
  }
  return {
    id,
    count: countOfAll(now),
    usual: usualOf(compared, known),
    net: plainNet(now),
    spark,
  }
}
