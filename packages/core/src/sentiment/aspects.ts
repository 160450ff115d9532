import { compileWatches, type Term } from '../watches/index.ts'
import {
  sentimentOfRaw,
  readSentiment,
  type Sentiment,
  type SentimentOptions,
  type SentimentReading,
} from './readSentiment.ts'

export interface Aspect {
  id: string | number
  terms: readonly Term[]
}

export interface AspectReading extends SentimentReading {
  aspect: string | number
  /** The clause in which the aspect is named: UTF-16 offsets. */
  start: number
  end: number
}

const clauseEnd =
  /[.!?;…\n]+|,\s+(?=(?:but|and|yet|while|although|mais|et|pero|aunque|y|aber|und)\b)|\s+(?=(?:but|while|although|mais|pero|aber)\b)/giu

function clauses(text: string): { start: number; end: number }[] {
  const found: { start: number; end: number }[] = []
  let start = 0
  for (const mark of text.matchAll(clauseEnd)) {
    const end = mark.index + (/[.!?…]/.test(mark[0]) ? mark[0].length : 0)
    if (text.slice(start, end).trim()) found.push({ start, end })
    start = mark.index + mark[0].length
  }
  if (text.slice(start).trim()) found.push({ start, end: text.length })
  return found
}

export interface CompiledAspects {
  /** The clauses in which each aspect is named, with their sentiment. */
  read(text: string, options?: SentimentOptions): AspectReading[]
}

/**
 * Aspects made ready for many texts.
 *
 * @example compileAspects([{ id: 'crew', terms: [{ text: 'crew' }] }]).read('Kind crew, but the queue was awful')[0].sentiment === 'positive'
 */
export function compileAspects(aspects: readonly Aspect[]): CompiledAspects {
  const watches = compileWatches(aspects.map(({ id, terms }) => ({ id, anyOf: terms })))
  return {
    read(text, options = {}) {
      const readings: AspectReading[] = []
      // Most texts name none; looking once is cheaper than looking in every clause.
      if (!aspects.length || !watches.match({ text }).length) return readings
      for (const { start, end } of clauses(text)) {
        const clause = text.slice(start, end)
        const hits = watches.match({ text: clause })
        if (!hits.length) continue
        const reading = readSentiment(clause, options)
        const spans = reading.spans.map((s) => ({ ...s, start: s.start + start, end: s.end + start }))
        for (const { id } of hits) readings.push({ ...reading, spans, aspect: id, start, end })
      }
      return readings
    },
  }
}

/** The sentiment of the clauses in which each aspect is named. For one text; for many, compile. */
export const readAspects = (text: string, aspects: readonly Aspect[], options: SentimentOptions = {}) =>
  compileAspects(aspects).read(text, options)

/** What is said of each aspect named in a text: its clauses taken together. */
export function sentimentOfAspects(
  readings: readonly AspectReading[],
): { aspect: string | number; sentiment: Sentiment }[] {
  const raws = new Map<string | number, number | null>()
  for (const { aspect, raw, sentiment } of readings) {
    const known = raws.get(aspect) ?? null
    raws.set(aspect, sentiment === 'unread' ? known : (known ?? 0) + raw)
  }
  return [...raws].map(([aspect, raw]) => ({
    aspect,
    sentiment: raw === null ? 'unread' : sentimentOfRaw(raw),
  }))
}
