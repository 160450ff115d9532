import type { ListReading } from '../sentiment/lists/readByLists.ts'
import type { Tokens } from './tokens.ts'

/** What a text may be; a model is told it where it is known. */
export type TextKind = 'review' | 'comment' | 'message' | 'mention' | 'headline' | 'post'

/** A property of a text that a model weighs. */
export interface Feature {
  name: string
  value: number
  /** The first and the last token it rests on; none for a property of the whole. */
  first?: number
  last?: number
}

/** What a word may be weighed as: anywhere, denied, in a question, in the last of several sentences. */
export const wordContexts = ['any', 'denied', 'asked', 'last'] as const
export type WordContext = (typeof wordContexts)[number]

const asking =
  /^(?:please|could|can|kindly|do|does|did|is|are|may|what|how|where|when|which|who|why|bitte|können|könnten|kann|gibt|wann|wie|wo|was|welche|ist|sind|darf|por favor|podría|podrían|pueden|puede|cuándo|cómo|dónde|qué|cuál|hay|es|s'il|pouvez|pourriez|est-ce|quand|comment|où|quel|quelle|combien|puis|peut)\b/iu

/** Whether a word begins questions and requests. */
export const isAskingWord = (key: string): boolean => asking.test(key)

/**
 * Words, pairs of neighbours, what the word lists say, and how the text is built. Values are about 1, so that all are
 * weighed alike.
 *
 * @param known names that are weighed; all are given if left out
 */
export function featuresOf(
  text: string,
  { tokens, questions }: Tokens,
  lists: ListReading,
  kind: TextKind | undefined,
  known?: ReadonlyMap<string, unknown>,
): Feature[] {
  const features: Feature[] = []
  const seen = new Set<string>()
  const put = (name: string, value: number, first?: number, last?: number) => {
    // Most pairs of words are known to no model.
    if ((known && !known.has(name)) || seen.has(name)) return
    seen.add(name)
    features.push({ name, value, first, last })
  }
  tokens.forEach(({ key, sentence }, i) => {
    put(key, 1, i, i)
    const before = tokens[i - 1]
    if (before?.sentence === sentence) put(`${before.key} ${key}`, 1, i - 1, i)
    else put(`<s> ${key}`, 1, i, i)
  })
  addLists(put, lists, { tokens, questions })
  addBuild(put, text, questions, tokens)
  if (kind) put(`kind=${kind}`, 1)
  return features
}

type Put = (name: string, value: number) => void

/** What the lists say is trusted more the further it goes, and where all of it pulls one way. */
function addLists(put: Put, { raw, sentiment, spans }: ListReading, { tokens }: Tokens): void {
  put('lists=raw', 3 * Math.tanh(raw / 3))
  put(`lists=about ${Math.round(Math.max(-6, Math.min(6, raw)) / 1.5)}`, 1)
  const glad = spans.filter(({ contribution }) => contribution > 0).length
  const unhappy = spans.filter(({ contribution }) => contribution < 0).length
  put('lists=glad', Math.min(8, glad))
  put('lists=unhappy', Math.min(8, unhappy))
  put(`lists=${sentiment}`, 2)
  if (glad && unhappy) put('lists=both ways', 1)
  else if (glad) put('lists=all glad', 1)
  else if (unhappy) put('lists=all unhappy', 1)
  else put('lists=silent', 1)
  const last = tokens.at(-1)
  if (!last || last.sentence === 0) return
  const from = tokens.find(({ sentence }) => sentence === last.sentence)!.start
  const atEnd = spans
    .filter(({ start }) => start >= from)
    .reduce((sum, { contribution }) => sum + contribution, 0)
  if (atEnd) put('lists=at the end', 2 * Math.tanh(atEnd / 2))
}

function addBuild(put: Put, text: string, questions: readonly boolean[], tokens: Tokens['tokens']): void {
  put('bias', 1)
  const shown = text.trimEnd()
  if (shown.endsWith('?')) put('build=ends asking', 2)
  if (questions.some(Boolean)) put('build=asks', 1)
  if (tokens.some(({ key }) => key === '!')) put('build=calls', 1)
  if (!/[.!?…]$/.test(shown)) put('build=open end', 1)
  if (asking.test(text.trimStart().replace(/^¿/, ''))) put('build=begins asking', 2)
  if (tokens.some(({ key }) => key === '<n>')) put('build=number', 1)
  put('build=length', Math.log(Math.max(8, Math.min(2000, text.length)) / 60))
}

/** For each word: where it is weighed, and by how much. */
export function wordPlaces({ tokens, questions }: Tokens): { context: WordContext; indices: number[] }[] {
  const last = tokens.at(-1)?.sentence ?? 0
  const all = tokens.map((_, i) => i).filter((i) => tokens[i]!.key.length > 1 && tokens[i]!.key !== '<n>')
  const places = [
    { context: 'any' as const, indices: all },
    { context: 'denied' as const, indices: all.filter((i) => tokens[i]!.denied) },
    { context: 'asked' as const, indices: all.filter((i) => questions[tokens[i]!.sentence]) },
  ]
  return last > 0
    ? [...places, { context: 'last' as const, indices: all.filter((i) => tokens[i]!.sentence === last) }]
    : places
}
