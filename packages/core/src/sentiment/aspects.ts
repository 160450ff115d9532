import { compileWatches, type Term } from '../watches/index.ts'
import { readSentiment, type SentimentOptions, type SentimentReading } from './readSentiment.ts'

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

/**
 * The sentiment of the clauses in which each aspect is named.
 *
 * @example readAspects('Kind crew, but the queue was awful', [{ id: 'crew', terms: [{ text: 'crew' }] }])[0].label === 'positive'
 */
export function readAspects(
  text: string,
  aspects: readonly Aspect[],
  options: SentimentOptions = {},
): AspectReading[] {
  const watches = compileWatches(aspects.map(({ id, terms }) => ({ id, anyOf: terms })))
  const readings: AspectReading[] = []
  for (const { start, end } of clauses(text)) {
    const clause = text.slice(start, end)
    const hits = watches.match({ text: clause })
    if (!hits.length) continue
    const reading = readSentiment(clause, options)
    const spans = reading.spans.map((s) => ({ ...s, start: s.start + start, end: s.end + start }))
    for (const { id } of hits) readings.push({ ...reading, spans, aspect: id, start, end })
  }
  return readings
}
