import { blankLens } from '@murrabel/core/lens'
import {
  bunchingOf,
  changeOfCount,
  changeOfNet,
  independentEntries,
  shareOfVoice,
  type Change,
  type Clusters,
  type RateChange,
} from '@murrabel/core/measures'
import type { RivalRow, RivalsAnswer, SentimentCounts, UsualAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { watchPeriods, type WatchPeriod } from '../../store/queries/watches/watchPeriods.ts'
import { lensClusters } from '../../store/queries/entries/lensClusters.ts'
import { watchVoices } from '../../store/queries/watches/watchVoices.ts'
import { publicFigures } from './publicFigures.ts'
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
import { addCounts, countOfAll, netOf, noCounts, partOf } from './sentimentCounts.ts'
import { knownPeriods, missedOfWatches } from './outages.ts'
import { judgedTogether, knownChange, usualOf } from './usual.ts'
import { watchesInGroups } from '../../store/queries/watches/watches.ts'
import { nameOfBrand } from '../../store/queries/brand/brand.ts'
import { lensContext, lensOf } from '../lens/index.ts'

/** The brand's own watches beside its rivals': one row a watch of the groups "brand" and "rivals". */
export async function rivals(
  parts: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<RivalsAnswer> {
  const { db } = parts
  const context = await lensContext(parts, reader)
  const period = shownPeriod(lensOf(query), context)
  const sides = await watchesInGroups(db, reader.brandId)
  const compared = comparedPeriods(period, usualPeriods, context)
  const ids = sides.map(({ id }) => id)
  const [missed, rows, now, before, brand] = await Promise.all([
    missedOfWatches(db, { reader, watches: ids }, { from: compared.edges[0]!, to: period.to }, context.now),
    watchPeriods(db, { reader, starts: compared.edges, end: period.to, zone: context.zone, watches: ids }),
    watchVoices(db, { reader, ids, ...period }),
    watchVoices(db, { reader, ids, ...compared.periods[usualPeriods - 1]! }),
    nameOfBrand(db, reader.brandId),
  ])
  // Copies and what one person writes again are no further voices, here as in the figures of each.
  const independent = await Promise.all(
    sides.map(({ id }) => {
      const of = (time: Period) =>
        lensClusters(db, {
          lens: lensAt({ ...blankLens, unit: 'entries', watch: id }, time, context.zone),
          context,
          reader,
        })
      return Promise.all([of(period), of(compared.periods[usualPeriods - 1]!)])
    }),
  )
  const sums = sides.map(({ id }, i) => ({
    clusters: independent[i]!,
    known: knownPeriods(compared, { first: context.since, missed: missed.get(id) ?? [] }),
    compared: compared.at.map((edge) => sumOf(rows, (row) => row.watch === id && row.period === edge)),
    whole: sumOf(rows, (row) => row.watch === id && row.period >= compared.at[usualPeriods]!),
    voices: now.find((v) => v.watch === id) ?? { voices: 0, reach: 0 },
    voicesBefore: before.find((v) => v.watch === id)?.voices ?? 0,
  }))
  const shares = shareOfVoice(sums.map(({ whole }) => countOfAll(whole)))
  const days = daysOf(compared.periods[usualPeriods]!)
  // The page shows all rows beside each other: they are judged together.
  const judged = judgedTogether(sums.map((sum) => judgedRow(sum, days)))
  return {
    range: printPeriod(period),
    sides: await publicFigures(parts, reader, {
      period,
      before: periodStarts(period, 1, context.zone)[0]!,
      zone: context.zone,
      names: new Map(sides.filter(({ ours }) => !ours).map(({ id, name }) => [id, name])),
      brandName: brand?.name ?? '',
    }),
    rows: sides.map(({ id, name, ours }, i): RivalRow => {
      const { whole, voices, voicesBefore, clusters } = sums[i]!
      const { usual, changes } = judged[i]!
      return {
        watch: { id, name },
        ours,
        total: countOfAll(whole),
        usual,
        share: shares[i] ?? null,
        net: netOf(whole, independentEntries(whole, clusters[0])),
        netChange: changes[0],
        volumeChange: changes[1],
        audience: { voices: voices.voices, before: voicesBefore, change: changes[2] },
        reach: voices.reach,
      }
    }),
  }
}

interface RivalSums {
  /** Of the whole period, and of the one before. */
  clusters: [Clusters, Clusters]
  /** Which of the periods were collected. */
  known: boolean[]
  whole: SentimentCounts
  /** Of the periods before and the present one up to now. */
  compared: SentimentCounts[]
  voices: { voices: number }
  voicesBefore: number
}

function judgedRow(
  { compared, known, whole, clusters, voices, voicesBefore }: RivalSums,
  days: number,
): { usual: UsualAnswer; changes: [Change | null, RateChange, RateChange] } {
  const volumes = compared.map(countOfAll)
  const [last, current] = [compared[usualPeriods - 1]!, compared[usualPeriods]!]
  const per = (count: number) => ({ count, days })
  return {
    usual: usualOf(volumes, known),
    changes: [
      knownChange(
        changeOfNet(
          netOf(last, independentEntries(last, clusters[1])),
          netOf(current, partOf(independentEntries(whole, clusters[0]), whole, current)),
        ),
        known,
      ),
      knownChange(
        changeOfCount(
          per(countOfAll(last)),
          per(countOfAll(current)),
          bunchingOf(volumes.slice(0, -1).filter((_, i) => known[i])),
        ),
        known,
      ),
      knownChange(changeOfCount(per(voicesBefore), per(voices.voices)), known),
    ],
  }
}

const sumOf = (rows: readonly WatchPeriod[], fits: (row: WatchPeriod) => boolean) =>
  rows.filter(fits).reduce<SentimentCounts>(addCounts, noCounts())
