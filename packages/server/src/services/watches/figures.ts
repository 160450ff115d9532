import { DateTime } from 'luxon'
import {
  bunchingOf,
  changeOfCount,
  changeOfNet,
  daysBefore,
  direction,
  independentEntries,
  share,
  type Change,
  type Direction,
  type RateChange,
} from '@murrabel/core/measures'
import { precisionOf } from '@murrabel/core/tuner'
import type { FiguresAnswer, SentimentCounts, Slice, UsualAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import type { Database } from '../../store/database.ts'
import {
  lensAspects,
  lensCopies,
  lensPeriods,
  lensSlices,
  type LensQuestion,
  type SliceRow,
} from '../../store/queries/entries/lensSlices.ts'
import { lensClusters } from '../../store/queries/entries/lensClusters.ts'
import { watchPeriods } from '../../store/queries/watches/watchPeriods.ts'
import {
  comparedPeriods,
  daysOf,
  lensAt,
  periodStarts,
  printPeriod,
  shownPeriod,
  type Period,
} from './shownRange.ts'
import { usualPeriods } from './summaries.ts'
import { countOfAll, netOf, noCounts, partOf } from './sentimentCounts.ts'
import { isMissed, knownPeriods, missedOf, outageAnswers, type Missed } from './outages.ts'
import { judgedTogether, knownChange, usualOf } from './usual.ts'
import { peersOf } from '../../store/queries/watches/watches.ts'
import { markCounts } from '../../store/queries/watches/marks.ts'
import { lensContext, lensOf } from '../lens/index.ts'
import { comparedCounts } from './comparedCounts.ts'

/** Weeks that a direction is read from when the periods before reach no further. */
const directionWeeks = 12

/** Everything a lens is told by: its count against the usual, changes, direction, shares and parts. */
export async function figures(
  parts: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<FiguresAnswer> {
  const { db } = parts
  const context = await lensContext(parts, reader)
  const asked = lensOf(query)
  const period = shownPeriod(asked, context)
  const lens = lensAt(asked, period, context.zone)
  const question: LensQuestion = { lens, context, reader }
  const compared = comparedPeriods(period, usualPeriods, context)
  const last = lensAt(asked, compared.periods[usualPeriods - 1]!, context.zone)
  const missed = await missedOf(
    db,
    question,
    {
      from: Math.min(compared.edges[0]!, daysBefore(period.to, 7 * directionWeeks, context.zone)),
      to: period.to,
    },
    context.now,
  )
  const known = knownPeriods(compared, { first: context.since, missed })
  const [slices, periods, weeks, aspects, copies, voice, onTopic, clusters, clustersBefore] =
    await Promise.all([
      lensSlices(db, question),
      comparedCounts(db, question, compared),
      weekCounts(db, question, { period, missed }),
      lensAspects(db, question),
      lensCopies(db, question),
      shareAmong(db, question, period),
      onTopicOf(db, reader, lens.watch),
      lensClusters(db, question),
      lensClusters(db, { ...question, lens: last }),
    ])
  const whole = slices.find((s) => s.part === 'all') ?? noCounts()
  const counts: SentimentCounts = {
    positive: whole.positive,
    neutral: whole.neutral,
    negative: whole.negative,
    unread: whole.unread,
  }
  const previous = periods.slice(0, -1)
  const before = previous[previous.length - 1] ?? noCounts()
  const now = periods[periods.length - 1]!
  const independent = independentEntries(counts, clusters)
  const netBefore = netOf(before, independentEntries(before, clustersBefore))
  const days = daysOf(compared.periods[usualPeriods]!)
  const volumes = periods.map(countOfAll)
  const row: { usual: UsualAnswer; changes: [RateChange, Change | null] } = {
    usual: usualOf(volumes, known),
    changes: [
      knownChange(
        changeOfCount(
          { count: countOfAll(before), days },
          { count: countOfAll(now), days },
          bunchingOf(volumes.slice(0, -1).filter((_, i) => known[i])),
        ),
        known,
      ),
      // Of the hours up to now, as large a part is independent as of all.
      knownChange(changeOfNet(netBefore, netOf(now, partOf(independent, counts, now))), known),
    ],
  }
  const { usual, changes } = judgedTogether([row])[0]!
  return {
    range: printPeriod(period),
    counts,
    total: countOfAll(counts),
    net: netOf(counts, independent),
    usual,
    before: { total: countOfAll(before), net: netBefore },
    countChange: changes[0],
    netChange: changes[1],
    direction: weeks,
    share: voice,
    onTopic,
    channels: slicesOf(slices, 'channel'),
    languages: slicesOf(slices, 'language'),
    places: slicesOf(slices, 'place'),
    hours: slices.filter((s) => s.part === 'hour').map((s) => ({ key: s.hour!, n: countOfAll(s) })),
    aspects: aspects.map((a) => ({ ...a, net: netOf(a) })),
    copies,
    outages: outageAnswers(missed, period),
  }
}

function slicesOf(rows: readonly SliceRow[], part: 'channel' | 'language' | 'place'): Slice[] {
  return rows
    .filter((row) => row.part === part)
    .map((row) => ({
      key: row[part],
      positive: row.positive,
      neutral: row.neutral,
      negative: row.negative,
      unread: row.unread,
    }))
    .sort((a, b) => countOfAll(b) - countOfAll(a))
}

async function weekCounts(
  db: Database,
  question: LensQuestion,
  { period, missed }: { period: Period; missed: readonly Missed[] },
): Promise<FiguresAnswer['direction']> {
  const { zone, now } = question.context
  // Up to the end of the time shown, so that a lens on last summer is told of last summer; of whole days.
  const end = period.to > now ? DateTime.fromMillis(now, { zone }).startOf('day').toMillis() : period.to
  const starts = periodStarts({ from: daysBefore(end, 7, zone), to: end }, directionWeeks - 1, zone)
  const rows = await lensPeriods(db, question, { starts, end })
  const counts = starts.map((_, i) => rows.find((row) => row.period === i) ?? noCounts())
  const volumes = counts.map(countOfAll)
  const nets = counts.map((c) => netOf(c)?.net ?? null)
  const silent = starts.map((from, i) => isMissed(missed, { from, to: starts[i + 1] ?? end }))
  const first = volumes.findIndex((n) => n > 0)
  const heard = volumes.filter((_, i) => first >= 0 && i >= first && !silent[i])
  const netDirection: Direction = direction(
    nets.filter((net, i): net is number => net !== null && !silent[i]),
  )
  return {
    unit: 'week',
    volume: direction(heard),
    net: netDirection,
    volumes,
    nets,
    starts: starts.map((at) => new Date(at).toISOString()),
    missed: silent,
  }
}

/**
 * A watch's share of voice: the brand's and its rivals' among each other, any other among the watches of its group. Null
 * when there is nobody to share with.
 */
async function shareAmong(
  db: Database,
  { reader, lens: { watch }, context: { zone } }: LensQuestion,
  period: Period,
): Promise<FiguresAnswer['share']> {
  if (watch === null) return null
  const among = await peersOf(db, { watchId: watch, brandId: reader.brandId })
  if (among.length < 2) return null
  const rows = await watchPeriods(db, {
    reader,
    starts: [period.from],
    end: period.to,
    zone,
    watches: among.map(({ id }) => id),
  })
  const counted = among.map((each) => {
    const row = rows.find((r) => r.watch === each.id)
    return { ...each, count: row ? countOfAll(row) : 0 }
  })
  const found = share(
    counted[0]!.count,
    counted.reduce((sum, { count }) => sum + count, 0),
  )
  return found && { ...found, among: counted }
}

/** How much of a watch is on topic, by the marks on entries that the reader may see. */
async function onTopicOf(
  db: Database,
  reader: Reader,
  watch: number | null,
): Promise<FiguresAnswer['onTopic']> {
  if (watch === null) return null
  const row = await markCounts(db, reader, watch)
  return row?.marked ? precisionOf(row.onTopic, row.marked) : null
}
