import { type Lens, type LensContext } from '@murrabel/core/lens'
import { placedWords } from '@murrabel/core/text'
import type { PhraseAnswer, PhrasesAnswer, WatchQueryDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { lensTexts } from '../../store/queries/lensTexts.ts'
import type { PhrasesFound } from '../../workers/textMessages.ts'
import { lensContext, lensOf } from '../entries/list.ts'
import { daysOf, lensAt, shownPeriod, type Period } from './shownRange.ts'
import { netOf } from './standings.ts'

type Parts = Pick<Context, 'db' | 'now' | 'textWorker'>

/** Entries looked at on either side: the newest. */
const foregroundLimit = 50_000
const backgroundLimit = 50_000
/** The time before that phrases are told from: this many days, or six times the time shown. */
const backgroundDays = 90
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
): Promise<{ found: PhrasesFound; ranked: number[]; background: 'before' | 'others'; days: number }> {
  const period = shownPeriod(lens, context)
  const days = daysOf(period)
  const front = lensAt(lens, period, context.zone)
  const background =
    against === 'others' && (lens.watch !== null || lens.group !== null) ? 'others' : 'before'
  const backDays = background === 'others' ? days : Math.max(backgroundDays, 6 * days)
  const back =
    background === 'others'
      ? { ...front, watch: null, group: null, phrase: '' }
      : lensAt(lens, before(period, backDays), context.zone)
  const found = await textWorker.ask({
    kind: 'phrases',
    front: lensTexts({ lens: { ...front, order: 'newest' }, context, reader }, { limit: foregroundLimit }),
    back: lensTexts(
      { lens: back, context, reader },
      { limit: backgroundLimit, without: background === 'others' ? lens : null },
    ),
    without: await askedWords(db, lens, context),
    limit: phraseLimit,
  })
  return { found, ranked: found.ranked, background, days: backDays }
}

/** The days before a period. */
export const before = ({ from }: Period, days: number): Period => ({
  from: from - days * 86_400_000,
  to: from,
})

/** Words the watches of a lens ask for: telling them would tell nothing. */
async function askedWords(db: Context['db'], lens: Lens, context: LensContext): Promise<string[]> {
  const ids =
    lens.watch !== null ? [lens.watch] : lens.group !== null ? [...context.watchesOf(lens.group)] : []
  if (!ids.length) return []
  const rows = await db.rows<{ query: WatchQueryDraft }>(
    'SELECT query FROM watches WHERE id = ANY($1::int[])',
    [ids],
  )
  // Of several watches only single names go: "storm" and "petrel" apart may tell something.
  return rows.flatMap(({ query }) =>
    (query.anyOf ?? []).flatMap(({ text }) => placedWords(text).map(({ word }) => word)),
  )
}
