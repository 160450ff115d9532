import {
  bucketStarts,
  bunchingOf,
  changeOfCount,
  changeOfNet,
  independentEntries,
  share,
  usualMinimum,
} from '@murrabel/core/measures'
import { printLens, type Lens, type LensContext } from '@murrabel/core/lens'
import type { ComparedSide, CompareAnswer, TideBucket } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { lensClusters } from '../../store/queries/entries/lensClusters.ts'
import type { LensQuestion } from '../../store/queries/entries/lensSlices.ts'
import { lensTexts } from '../../store/queries/entries/lensTexts.ts'
import { tide } from '../../store/queries/entries/tide.ts'
import { askedWords, backgroundNeeded, phraseAnswer, phrasesOfLens } from './phrases.ts'
import { comparedCounts } from './comparedCounts.ts'
import { comparedPeriods, daysOf, lensAt, shownPeriod, type Period } from './shownRange.ts'
import { usualPeriods } from './summaries.ts'
import { knownPeriods, missedOf } from './outages.ts'
import { addCounts, netOf, noCounts, countOfAll } from './sentimentCounts.ts'
import { groupName } from '../../store/queries/watches/groups.ts'
import { watchName } from '../../store/queries/watches/watches.ts'
import { lensContext, lensOf, fillBuckets } from '../lens/index.ts'

type Parts = Pick<Context, 'db' | 'now' | 'textWorker'>
const textLimit = 20_000
const phraseLimit = 16

/** Two watches, groups or periods in one picture. The second differs from the first by what stands under "with" in the question. */
export async function compare(
  parts: Parts,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<CompareAnswer> {
  const { with: other, ...first } = query
  const lensOne = lensOf(first)
  const lensTwo = lensOf({ ...first, ...pairsOf(other) })
  const context = await lensContext(parts, reader)
  if (JSON.stringify(printLens(lensOne, lensTwo)) === '[]') throw new Refusal('sameThing')
  const [one, two] = [sideOf(lensOne, context), sideOf(lensTwo, context)]
  const unit = unitFor(Math.max(daysOf(one.period), daysOf(two.period)))
  const ask = { parts, reader, context, unit }
  const [left, right, front, back] = [
    await readSide(ask, one, await nameOf(parts, reader, lensOne)),
    await readSide(ask, two, await nameOf(parts, reader, lensTwo)),
    lensTexts({ lens: one.lens, context, reader }, { limit: textLimit }),
    lensTexts({ lens: two.lens, context, reader }, { limit: textLimit }),
  ]
  const without = [
    ...(await askedWords(parts.db, lensOne, context)),
    ...(await askedWords(parts.db, lensTwo, context)),
  ]
  const tell = { kind: 'phrases' as const, without, limit: phraseLimit }
  // So little on the other side tells nothing: then it is told from what was said before.
  const toldOf = async (lens: Lens, texts: typeof front, against: { texts: typeof front; total: number }) => {
    if (against.total >= backgroundNeeded)
      return {
        found: await parts.textWorker.ask({ ...tell, front: texts, back: against.texts }),
        other: true,
      }
    const { found } = await phrasesOfLens(parts, reader, { lens, context, against: 'before' })
    return { found, other: false }
  }
  const [told, toldBack] = await Promise.all([
    toldOf(lensOne, front, { texts: back, total: right.total }),
    toldOf(lensTwo, back, { texts: front, total: left.total }),
  ])
  const countOf = ({ total, days, series }: ComparedSide) => ({
    count: total,
    days,
    bunching: bunchingOf(series.map(countOfAll)),
  })
  // Two times of one thing: how such times have varied before, as the figures of it say.
  const sameSubject = lensOne.watch === lensTwo.watch && lensOne.group === lensTwo.group
  const before = sameSubject ? await countsBefore(parts, { reader, context, ...one }) : []
  const shared = before.length >= usualMinimum ? bunchingOf(before) : undefined
  return {
    unit,
    one: left,
    two: right,
    volume: shared
      ? changeOfCount(
          { count: right.total, days: right.days },
          { count: left.total, days: left.days },
          shared,
        )
      : changeOfCount(countOf(right), countOf(left)),
    net: changeOfNet(right.net, left.net),
    share: share(left.total, left.total + right.total),
    phrasesOne: told.found.phrases.slice(0, phraseLimit).map(phraseAnswer),
    phrasesTwo: toldBack.found.phrases.slice(0, phraseLimit).map(phraseAnswer),
    fromOther: [told.other, toldBack.other],
  }
}

/** Counts of the periods before one that lie within what was collected. */
async function countsBefore(
  { db }: Parts,
  { lens, period, ...question }: LensQuestion & { period: Period },
): Promise<number[]> {
  const { context } = question
  const compared = comparedPeriods(period, usualPeriods, context)
  const counts = await comparedCounts(db, { ...question, lens: { ...lens, range: null } }, compared)
  const span = { from: compared.edges[0]!, to: period.to }
  const missed = await missedOf(db, { ...question, lens }, span, context.now)
  const known = knownPeriods(compared, { first: context.since, missed })
  return counts
    .slice(0, -1)
    .map(countOfAll)
    .filter((_, i) => known[i])
}

const pairsOf = (text: unknown): Record<string, string> =>
  typeof text === 'string' ? Object.fromEntries(new URLSearchParams(text)) : {}

function sideOf(lens: Lens, context: LensContext): { lens: Lens; period: Period } {
  const period = shownPeriod(lens, context)
  return { lens: lensAt(lens, period, context.zone), period }
}

const unitFor = (days: number): CompareAnswer['unit'] =>
  days <= 3 ? 'hour' : days <= 190 ? 'day' : days <= 1100 ? 'week' : 'month'

async function readSide(
  {
    parts,
    reader,
    context,
    unit,
  }: { parts: Parts; reader: Reader; context: LensContext; unit: CompareAnswer['unit'] },
  { lens, period }: { lens: Lens; period: Period },
  name: string,
): Promise<ComparedSide> {
  const starts = bucketStarts({ ...period, unit, zone: context.zone })
  const [rows, clusters] = await Promise.all([
    tide(parts.db, { lens, context, reader, starts, to: period.to }),
    lensClusters(parts.db, { lens, context, reader }),
  ])
  const series: TideBucket[] = fillBuckets(starts, rows)
  const counts = series.reduce(addCounts, noCounts())
  // Of a period that is not over, as many days as have passed.
  const days = daysOf({ from: period.from, to: Math.max(period.from, Math.min(period.to, context.now)) })
  return {
    name,
    total: countOfAll(counts),
    days,
    counts,
    net: netOf(counts, independentEntries(counts, clusters)),
    series,
  }
}

async function nameOf({ db }: Parts, reader: Reader, lens: Lens): Promise<string> {
  const { brandId } = reader
  if (lens.watch !== null) return (await watchName(db, { id: lens.watch, brandId }))?.name ?? ''
  if (lens.group !== null) return (await groupName(db, { id: lens.group, brandId }))?.name ?? ''
  return ''
}
