import { compileWatches } from '../watches/index.ts'
import type { MeaningOptions } from '../meaning/readMeaning.ts'
import { clausesOf } from './clauses.ts'
import { alikeLogit, tellingWords, type AlikeAspect } from './learning/alikeAspects.ts'
import { readSentiment } from './readSentiment.ts'
import type { Aspect, Sentiment, SentimentReading } from './types.ts'

export interface AspectReading extends SentimentReading {
  aspect: string | number
  /** The clause in which the aspect is named: UTF-16 offsets. */
  start: number
  end: number
}

export interface CompiledAspects {
  /** The clauses in which each aspect is named, with their sentiment. */
  read(text: string, options?: MeaningOptions): AspectReading[]
}

/**
 * Aspects made ready for many texts.
 *
 * @param alike what was learnt of words that tell an aspect where none of its terms stands
 *
 * @example compileAspects([{ id: 'crew', terms: [{ text: 'crew' }] }]).read('Kind crew, but the queue was awful')[0].sentiment === 'positive'
 */
export function compileAspects(
  aspects: readonly Aspect[],
  alike: ReadonlyMap<string | number, AlikeAspect> = new Map(),
): CompiledAspects {
  const watches = compileWatches(aspects.map(({ id, terms }) => ({ id, anyOf: terms })))
  const idsIn = (clause: string): (string | number)[] => {
    const named = watches.match({ text: clause }).map(({ id }) => id)
    return named.length || !alike.size ? named : likeliest(clause, alike)
  }
  return {
    read(text, options = {}) {
      const readings: AspectReading[] = []
      // Most texts name none; looking once is cheaper than looking in every clause.
      if (!aspects.length || (!alike.size && !watches.match({ text }).length)) return readings
      for (const { start, end } of clausesOf(text)) {
        const clause = text.slice(start, end)
        const ids = idsIn(clause)
        if (!ids.length) continue
        const reading = readSentiment(clause, options)
        const spans = reading.spans.map((s) => ({ ...s, start: s.start + start, end: s.end + start }))
        for (const id of ids) readings.push({ ...reading, spans, aspect: id, start, end })
      }
      return readings
    },
  }
}

/** The aspect that the words of a clause tell most clearly, where one is told clearly enough. */
function likeliest(clause: string, alike: ReadonlyMap<string | number, AlikeAspect>): (string | number)[] {
  const words = tellingWords(clause)
  let best: { id: string | number; over: number } | null = null
  for (const [id, model] of alike) {
    const over = alikeLogit(words, model) - model.from
    if (over >= 0 && over > (best?.over ?? -1)) best = { id, over }
  }
  return best ? [best.id] : []
}

/** The sentiment of the clauses in which each aspect is named. For one text; for many, compile. */
export const readAspects = (text: string, aspects: readonly Aspect[], options: MeaningOptions = {}) =>
  compileAspects(aspects).read(text, options)

/** What is said of each aspect named in a text: its clauses taken together. */
export function sentimentOfAspects(
  readings: readonly AspectReading[],
): { aspect: string | number; sentiment: Sentiment }[] {
  const found = new Map<string | number, [number, number, number] | null>()
  for (const { aspect, shares, sentiment } of readings) {
    const known = found.get(aspect) ?? null
    const [negative, neutral, positive] = known ?? [0, 0, 0]
    found.set(
      aspect,
      sentiment === 'unread' ? known : [negative + shares[0], neutral + shares[1], positive + shares[2]],
    )
  }
  return [...found].map(([aspect, shares]) => ({
    aspect,
    sentiment: shares ? sentimentOf(shares) : 'unread',
  }))
}

const sentimentOf = ([negative, neutral, positive]: readonly [number, number, number]): Sentiment =>
  positive > neutral && positive > negative ? 'positive' : negative > neutral ? 'negative' : 'neutral'
