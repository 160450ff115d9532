import { changeOfCount, changeOfNet, dispersionOf, shareOfVoice } from '@murrabel/core/measures'
import type { SentimentCounts, RivalRow, RivalsAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { watchPeriods, type WatchPeriod } from '../../store/queries/watches/watchPeriods.ts'
import { watchVoices } from '../../store/queries/watches/watchVoices.ts'
import { publicFigures } from './publicFigures.ts'
import { daysOf, periodStarts, printPeriod, shownPeriod } from './shownRange.ts'
import { usualPeriods } from './summaries.ts'
import { addCounts, netOf, noCounts, countOfAll } from './sentimentCounts.ts'
import { knownPeriods, usualOf } from './usual.ts'
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
  const starts = periodStarts(period, usualPeriods, context.zone)
  const ids = sides.map(({ id }) => id)
  const [rows, now, before, brand] = await Promise.all([
    watchPeriods(db, { reader, starts, end: period.to, zone: context.zone, watches: ids }),
    watchVoices(db, { reader, ids, from: period.from, to: period.to }),
    watchVoices(db, { reader, ids, from: starts[starts.length - 2]!, to: period.from }),
    nameOfBrand(db, reader.brandId),
  ])
  const days = daysOf(period)
  const counts = sides.map(({ id }) => periodsOf(rows, id))
  const shares = shareOfVoice(counts.map((periods) => countOfAll(periods[usualPeriods]!)))
  return {
    range: printPeriod(period),
    sides: await publicFigures(parts, reader, {
      period,
      before: starts[starts.length - 2]!,
      zone: context.zone,
      names: new Map(sides.filter(({ ours }) => !ours).map(({ id, name }) => [id, name])),
      brandName: brand?.name ?? '',
    }),
    rows: sides.map((side, i): RivalRow => {
      const periods = counts[i]!
      const [current, last] = [periods[usualPeriods]!, periods[usualPeriods - 1]!]
      const heard = now.find((v) => v.watch === side.id)
      const heardBefore = before.find((v) => v.watch === side.id)?.voices ?? 0
      const volumes = periods.map(countOfAll)
      return {
        watch: { id: side.id, name: side.name },
        ours: side.ours,
        total: countOfAll(current),
        usual: usualOf(countOfAll(current), volumes.slice(0, -1), knownPeriods(starts, context.since)),
        share: shares[i] ?? null,
        net: netOf(current),
        netChange: changeOfNet(netOf(last), netOf(current)),
        volumeChange: changeOfCount(
          { count: countOfAll(last), days },
          { count: countOfAll(current), days },
          dispersionOf(volumes.slice(0, -1)),
        ),
        audience: {
          voices: heard?.voices ?? 0,
          before: heardBefore,
          change: changeOfCount({ count: heardBefore, days }, { count: heard?.voices ?? 0, days }),
        },
        reach: heard?.reach ?? 0,
      }
    }),
  }
}

function periodsOf(rows: readonly WatchPeriod[], watch: number): SentimentCounts[] {
  return Array.from({ length: usualPeriods + 1 }, (_, period) =>
    rows
      .filter((row) => row.watch === watch && row.period === period)
      .reduce<SentimentCounts>(addCounts, noCounts()),
  )
}
