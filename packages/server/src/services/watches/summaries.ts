import type { SummariesAnswer, WatchSummary } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { watchPeriods, type WatchPeriod } from '../../store/queries/watches/watchPeriods.ts'
import { halfOf, periodStarts, printPeriod, shownPeriod } from './shownRange.ts'
import { knownPeriods, usualOf } from './usual.ts'
import { watchIds } from '../../store/queries/watches/watches.ts'
import { lensContext, lensOf } from '../lens/index.ts'
import { countOfAll, noCounts, netOf, addCounts } from './sentimentCounts.ts'

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
  const starts = periodStarts(period, usualPeriods, context.zone)
  // Twice as many points as periods make the small line.
  const halves = starts.flatMap((at, i) => [
    at,
    halfOf({ from: at, to: starts[i + 1] ?? period.to }, context.zone),
  ])
  const { zone } = context
  const rows = await watchPeriods(parts.db, { reader, starts: halves, end: period.to, zone })
  const known = knownPeriods(starts, context.since)
  const watches = await watchIds(parts.db, reader.brandId)
  const byWatch = new Map<number, WatchPeriod[]>()
  for (const row of rows) byWatch.set(row.watch, [...(byWatch.get(row.watch) ?? []), row])
  return {
    range: printPeriod(period),
    watches: watches.map(({ id }) => summary(id, byWatch.get(id) ?? [], { halves: halves.length, known })),
  }
}

function summary(
  id: number,
  rows: readonly WatchPeriod[],
  { halves, known }: { halves: number; known: number },
): WatchSummary {
  const spark = new Array<number>(halves).fill(0)
  let now = noCounts()
  for (const row of rows) {
    spark[row.period] = countOfAll(row)
    if (row.period >= halves - 2) now = addCounts(now, row)
  }
  const whole = Array.from({ length: halves / 2 }, (_, i) => spark[2 * i]! + spark[2 * i + 1]!)
  return {
    id,
    count: countOfAll(now),
    usual: usualOf(countOfAll(now), whole.slice(0, -1), known),
    net: netOf(now),
    spark,
  }
}
