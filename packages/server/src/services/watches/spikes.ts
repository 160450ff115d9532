import { findSpikes, joinSpikes, type Spike } from '@murrabel/core/measures'
import { weekHoursOf, type Lens, type LensContext } from '@murrabel/core/lens'
import { shortened } from '@murrabel/core/text'
import type { SpikeAnswer, SpikesAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { entryPage } from '../../store/queries/entries/entryPage.ts'
import { lensSlices, type LensQuestion } from '../../store/queries/entries/lensSlices.ts'
import { lensStories } from '../../store/queries/entries/lensStories.ts'
import { lensVoices } from '../../store/queries/entries/lensVoices.ts'
import { tide } from '../../store/queries/entries/tide.ts'
import { lensAt, printPeriod, shownPeriod } from './shownRange.ts'
import { countOfAll, noCounts } from './sentimentCounts.ts'
import { missedHours, missedOf, type Missed } from './outages.ts'
import { phraseAnswer, phrasesOfLens } from './phrases.ts'
import { lensContext, lensOf } from '../lens/index.ts'

const hour = 3_600_000
/** History before the time shown, from which the usual is learnt. */
const historyDays = 190
/** Spikes that are explained in full: each takes a few questions. */
const explained = 12

/** Entries of a lens by hour, oldest first, in hours of UTC, and what was not collected; the last hour may be unfinished. */
export async function hourlySeries(
  parts: Pick<Context, 'db'>,
  question: LensQuestion,
  { from, to }: { from: number; to: number },
): Promise<{ start: number; counts: number[]; missed: Missed[] }> {
  const start = Math.floor(from / hour) * hour
  const starts = Array.from(
    { length: Math.max(0, Math.ceil((to - start) / hour)) },
    (_, i) => start + i * hour,
  )
  const [rows, missed] = await Promise.all([
    tide(parts.db, { ...question, lens: { ...question.lens, range: null }, starts, to }),
    missedOf(parts.db, question, { from: start, to }, to),
  ])
  const counts = starts.map(() => 0)
  for (const { bucket, ...row } of rows) counts[bucket] = countOfAll(row)
  return { start, counts, missed }
}

/** Spikes of a series, their hours counted from its first entry on: before that nothing was collected. */
export function spikesOf(
  { start, counts, missed }: Awaited<ReturnType<typeof hourlySeries>>,
  zone: string,
): { origin: number; found: Spike[] } {
  const first = Math.max(
    0,
    counts.findIndex((n) => n > 0),
  )
  const origin = start + first * hour
  const heard = counts.slice(first)
  const weekHours = weekHoursOf(origin, heard.length, zone)
  const unknown = missedHours(missed, origin, heard.length)
  return { origin, found: joinSpikes(findSpikes(heard, { weekHours, unknown })) }
}

/** The spikes in the time shown, each with its cause: what was said, by whom first, by whom loudest, and which stories went round. */
export async function spikes(
  parts: Pick<Context, 'db' | 'now' | 'textWorker'>,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<SpikesAnswer> {
  const lens = lensOf(query)
  const context = await lensContext(parts, reader)
  const shown = shownPeriod(lens, context)
  const to = Math.min(shown.to, context.now)
  const question: LensQuestion = { lens, context, reader }
  const series = await hourlySeries(parts, question, { from: shown.from - historyDays * 24 * hour, to })
  const { origin, found: all } = spikesOf(series, context.zone)
  const found = all.filter((spike) => origin + spike.end * hour > shown.from)
  const answers: SpikeAnswer[] = []
  for (const spike of found.slice(-explained).reverse())
    answers.push(await explainSpike(parts, question, spike, origin))
  return {
    range: printPeriod(shown),
    spikes: answers,
    learnedDays: Math.max(0, Math.round((shown.from - origin) / (24 * hour))),
  }
}

/** A spike with its cause. @param origin of its hours, epoch milliseconds */
export async function explainSpike(
  parts: Pick<Context, 'db' | 'now' | 'textWorker'>,
  { lens, context, reader }: LensQuestion,
  spike: Spike,
  origin: number,
): Promise<SpikeAnswer> {
  const period = { from: origin + spike.first * hour, to: origin + spike.end * hour }
  const own: Lens = lensAt(lens, period, context.zone)
  const question = { lens: own, context: withoutEnd(context, period.to), reader }
  const [slices, told, first, loudest, stories] = await Promise.all([
    lensSlices(parts.db, question),
    phrasesOfLens(parts, reader, { lens: own, context: question.context, against: 'before' }),
    entryPage(parts.db, { ...question, lens: { ...own, order: 'oldest' }, after: null, limit: 1 }),
    lensVoices(parts.db, question, { order: 'reach', limit: 5, kept: false, standing: null }),
    lensStories(parts.db, question, 4),
  ])
  const whole = slices.find((s) => s.part === 'all') ?? noCounts()
  const { positive, neutral, negative, unread } = whole
  return {
    from: new Date(period.from).toISOString(),
    to: new Date(period.to).toISOString(),
    open: spike.open,
    newLevel: spike.newLevel,
    count: spike.count,
    expected: spike.expected,
    tail: spike.tail,
    counts: { positive, neutral, negative, unread },
    phrases: told.found.phrases.slice(0, 8).map(phraseAnswer),
    first: first.rows[0] ?? null,
    voices: loudest.map((v) => ({
      id: v.id,
      name: v.name,
      entries: v.positive + v.neutral + v.negative + v.unread,
      reach: v.reach,
    })),
    stories: stories.map(({ id, title, text, copies }) => ({
      id,
      title: title ?? shortened(text, 110),
      copies,
    })),
  }
}

/** A spike that goes on ends with the hour it was last seen in, not with the day. */
const withoutEnd = (context: LensContext, to: number): LensContext => ({
  ...context,
  now: Math.max(context.now, to),
})
