import { type Lens, type LensContext } from '@murrabel/core/lens'
import { daysBefore } from '@murrabel/core/measures'
import { placedWords } from '@murrabel/core/text'
import type { PhraseAnswer, PhrasesAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { entryCount } from '../../store/queries/entries/entryCount.ts'
import { lensTexts } from '../../store/queries/entries/lensTexts.ts'
import type { PhrasesFound } from '../../workers/textMessages.ts'
import { daysOf, lensAt, shownPeriod, type Period } from './shownRange.ts'
import { netOf } from './sentimentCounts.ts'
import { queriesOf } from '../../store/queries/watches/watches.ts'
import { lensContext, lensOf } from '../lens/index.ts'

type Parts = Pick<Context, 'db' | 'now' | 'textWorker'>

/** Entries looked at on either side: the newest. */
const foregroundLimit = 50_000
const backgroundLimit = 50_000
/** The time before that phrases are told from: six times the time shown, within these days. */
const backgroundDays = { least: 90, most: 365 }
const phraseLimit = 40

/** What is said in a lens that is not said before it, or elsewhere in the same time. */
export async function phrases(
  parts: Parts,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<PhrasesAnswer> {
  const lens = lensOf(query)
  const context = await lensContext(parts, reader)
  const against = query.against === 'others' ? 'others' : 'before'
  const { found, background, days } = await phrasesOfLens(parts, reader, { lens, context, against })
  return {
    phrases: found.phrases.map(phraseAnswer),
    entries: found.front,
    against: found.back,
    background,
    backgroundDays: days,
    cut: found.front >= foregroundLimit,
  }
}

export function phraseAnswer(phrase: PhrasesFound['phrases'][number]): PhraseAnswer {
  const { words, written, count, before, z, positive, neutral, negative, unread } = phrase
  const counts = { positive, neutral, negative, unread }
  return { text: written, phrase: words.join(' '), count, before, z, counts, net: netOf(counts) }
}

export async function phrasesOfLens(
  { db, textWorker }: Parts,
  reader: Reader,
  { lens, context, against }: { lens: Lens; context: LensContext; against: 'before' | 'others' },
): Promise<{ found: PhrasesFound; ranked: number[]; background: PhrasesAnswer['background']; days: number }> {
  const period = shownPeriod(lens, context)
  const front = lensAt(lens, period, context.zone)
  const back = await backgroundOf({ db, reader, context }, { lens, front, period, against })
  const found = await textWorker.ask({
    kind: 'phrases',
    front: lensTexts({ lens: { ...front, order: 'newest' }, context, reader }, { limit: foregroundLimit }),
    back: lensTexts(
      { lens: back.lens, context, reader },
      { limit: backgroundLimit, without: back.name === 'others' ? lens : null },
    ),
    without: await askedWords(db, lens, context),
    limit: phraseLimit,
  })
  return { found, ranked: found.ranked, background: back.name, days: back.days }
}

/** Fewer entries than this tell nothing of what is usual to say; then the whole brand's are taken. */
export const backgroundNeeded = 300

async function backgroundOf(
  { db, reader, context }: { db: Context['db']; reader: Reader; context: LensContext },
  { lens, front, period, against }: { lens: Lens; front: Lens; period: Period; against: 'before' | 'others' },
): Promise<{ name: PhrasesAnswer['background']; lens: Lens; days: number }> {
  const days = daysOf(period)
  const whole = { watch: null, group: null, phrase: '', voice: null, story: null }
  // Before everything there is nothing.
  if ((against === 'others' || !lens.range) && (lens.watch !== null || lens.group !== null))
    return { name: 'others', lens: { ...front, ...whole }, days }
  const back = Math.round(Math.min(backgroundDays.most, Math.max(backgroundDays.least, 6 * days)))
  const own = lensAt(lens, before(period, back, context.zone), context.zone)
  const { count } = await entryCount(db, { lens: own, context, reader })
  return count >= backgroundNeeded
    ? { name: 'before', lens: own, days: back }
    : { name: 'brand', lens: { ...own, ...whole }, days: back }
}

/** The days before a period. */
export const before = ({ from }: Period, days: number, zone: string): Period => ({
  from: daysBefore(from, days, zone),
  to: from,
})

/** Words the watches of a lens ask for: telling them would tell nothing. */
export async function askedWords(db: Context['db'], lens: Lens, context: LensContext): Promise<string[]> {
  const ids =
    lens.watch !== null ? [lens.watch] : lens.group !== null ? [...context.watchesOf(lens.group)] : []
  if (!ids.length) return []
  const rows = await queriesOf(db, ids)
  // Of several watches only single names go: "storm" and "petrel" apart may tell something.
  return rows.flatMap(({ query }) =>
    (query.anyOf ?? []).flatMap(({ text }) => placedWords(text).map(({ word }) => word)),
  )
}
