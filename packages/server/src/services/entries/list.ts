import { bucketStarts, daysBefore, usualChance, usualOf, type BucketUnit } from '@murrabel/core/measures'
import { instantsOf, type Lens, type LensContext } from '@murrabel/core/lens'
import {
  limits,
  type CountAnswer,
  type EntryPage,
  type TideAnswer,
  type TideBucket,
} from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { distinctivePage } from './distinctivePage.ts'
import { entryPage, parseKey } from '../../store/queries/entries/entryPage.ts'
import { foldedThreads, foldPage } from '../../store/queries/entries/foldPage.ts'
import { tide } from '../../store/queries/entries/tide.ts'
import { countLens, lensContext, lensOf, fillBuckets, questionKey } from '../lens/index.ts'
import { idsPart, wholePart, wrongPart } from '../lens/index.ts'
import { isMissed, missedOf } from '../watches/index.ts'

type Parts = Pick<Context, 'db' | 'now'>

/**
 * A page; with `fold`, near copies of one text are one row, which says how many it stands for. Pages that are open on the
 * same lens hear the same notices and then ask for the same rows.
 */
export async function listEntries(
  parts: Parts & Pick<Context, 'textWorker' | 'sharedRuns'>,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<EntryPage> {
  const lens = lensOf(query)
  const after = typeof query.after === 'string' ? parseKey(query.after, lens.order) : null
  if (query.after !== undefined && !after) throw wrongPart('after', 'This is no place in the list.')
  const limit = wholePart(query, 'limit', { least: 1, most: limits.pageRows, usual: 50 })
  const threads = idsPart(query, 'threads', limits.threadsAsked)
  const stories = idsPart(query, 'stories', limits.threadsAsked) ?? []
  const fold = query.fold === '1' && lens.story === null
  const key = questionKey('rows', reader, { lens, query })
  return parts.sharedRuns.ask(key, async () => {
    const context = await lensContext(parts, reader)
    const asked = { lens, context, reader }
    if (lens.order === 'distinctive') return distinctivePage(parts, reader, { lens, context, after, limit })
    if (fold && threads) return foldedThreads(parts.db, { ...asked, threads, stories, limit })
    const page = await entryPage(parts.db, { ...asked, after, limit, choice: threads && { threads } })
    return fold ? foldPage(parts.db, page, asked) : page
  })
}

export async function countEntries(
  parts: Parts & Pick<Context, 'sharedRuns' | 'keptCounts' | 'live'>,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<CountAnswer> {
  const lens = lensOf(query)
  const key = questionKey('count', reader, { lens, query })
  return parts.sharedRuns.ask(key, async () => {
    const context = await lensContext(parts, reader)
    return countLens(parts, { lens, context, reader }, key)
  })
}

/** Days the tide line looks back, whatever the lens's own range is. */
const tideDays = 90
const tideDaysOfAll = 370

/**
 * Volume by sentiment around the lens's range: hours when `hours` asks for them, otherwise days, weeks or months, so that
 * the strip has at most about a hundred bars. The usual range is that of the six periods before the lens's own.
 */
export async function tideOf(
  parts: Parts & Pick<Context, 'sharedRuns'>,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<TideAnswer> {
  const lens = lensOf(query)
  return parts.sharedRuns.ask(questionKey('tide', reader, { lens, query }), () =>
    answerTide(parts, reader, { lens, rangeOnly: query.span === 'range' }),
  )
}

async function answerTide(
  parts: Parts,
  reader: Reader,
  { lens, rangeOnly }: { lens: Lens; rangeOnly: boolean },
): Promise<TideAnswer> {
  const context = await lensContext(parts, reader)
  const window = tideWindow(lens, context, rangeOnly)
  const starts = bucketStarts({ ...window, zone: context.zone })
  const [rows, missed] = await Promise.all([
    tide(parts.db, { lens, context, reader, starts, to: window.to }),
    // Only entries come by an account; threads are told by theirs.
    lens.unit === 'entries' || lens.unit === 'threads'
      ? missedOf(parts.db, { lens, context, reader }, window, context.now)
      : [],
  ])
  const buckets = fillBuckets(starts, rows)
  const range = instantsOf(lens.range, context)
  const isBefore = (i: number) => (range ? starts[i]! < range.from : i < buckets.length - 1)
  const isKnown = (i: number) => !isMissed(missed, { from: starts[i]!, to: starts[i + 1] ?? window.to })
  return {
    unit: window.unit,
    buckets,
    usual: usualBars(buckets.filter((_, i) => isBefore(i) && isKnown(i))),
  }
}

function tideWindow(
  lens: Lens,
  context: LensContext,
  rangeOnly: boolean,
): { from: number; to: number; unit: BucketUnit } {
  const range = instantsOf(lens.range, context)
  const end = Math.max(context.now + 1, range && !rangeOnly ? 0 : (range?.to ?? 0))
  const day = 86_400_000
  if (rangeOnly && range) {
    const days = (range.to - range.from) / day
    return {
      from: range.from,
      to: range.to,
      unit: days <= 3 ? 'hour' : days <= 190 ? 'day' : days <= 1100 ? 'week' : 'month',
    }
  }
  const from = Math.min(
    range?.from ?? Infinity,
    daysBefore(context.now, (range ? tideDays : tideDaysOfAll) - 1, context.zone),
  )
  const back = (context.now - from) / day + 1
  return {
    from,
    to: Math.min(end, context.now + 1),
    unit: back <= 120 ? 'day' : back <= 800 ? 'week' : 'month',
  }
}

const sumOf = ({ positive, neutral, negative, unread }: TideBucket) => positive + neutral + negative + unread

/** What a bar usually is: from the bars before the lens's range, the last four weeks of them at most. */
function usualBars(before: readonly TideBucket[]): TideAnswer['usual'] {
  const usual = usualOf(before.map(sumOf), 28)
  return usual && { ...usual.range(usualChance), periods: usual.periods }
}
