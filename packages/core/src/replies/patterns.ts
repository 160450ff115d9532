import { foldCase } from '../text/index.ts'

/** What a reply pattern can be filled with. */
export const slotNames = ['name', 'place', 'visit', 'colleague', 'date'] as const
export type SlotName = (typeof slotNames)[number]

/** What is known in one thread; null: it is not. */
export type SlotValues = Record<SlotName, string | null>

/** What is always known, so that it needs no words for when it is not. */
const alwaysKnown = new Set<SlotName>(['colleague', 'date'])

export type PatternPart =
  | { kind: 'text'; text: string }
  | { kind: 'slot'; slot: SlotName; fallback: string }
  /** The text of another pattern. */
  | { kind: 'pattern'; name: string; start: number; end: number }

/** What is wrong with a pattern, and where (UTF-16 offsets). */
export type PatternProblem =
  | { kind: 'unclosed'; start: number; end: number }
  | { kind: 'unknownSlot'; words: string; start: number; end: number }
  | { kind: 'noFallback'; slot: SlotName; start: number; end: number }
  | { kind: 'unknownPattern'; words: string; start: number; end: number }
  /** It would take itself in; the names on the way. */
  | { kind: 'loop'; names: string[]; start: number; end: number }
  /** With all that it takes in, it is longer than an answer may be. */
  | { kind: 'tooLong'; length: number; start: number; end: number }

/** Finds the text of another pattern by its name; undefined: there is none. */
export type PatternTexts = (name: string) => string | undefined

/** Longest text that a pattern makes, characters. */
export const filledAtMost = 10_000

/** Parts that are looked at for one text, those that other patterns bring with them counted. */
const partsAtMost = 5000

/** As two names of patterns are held against each other. */
export const patternKey = (name: string): string => foldCase(name).replace(/\s+/g, ' ').trim()

/**
 * Reads a pattern: text with slots, `{name|there}`, and other patterns, `{pattern: Opening hours}`. After the bar stand the words for
 * when the slot is not known, which may be none. `{{` and `}}` are braces.
 *
 * @example readPattern('Dear {name|guest},').parts[1] // { kind: 'slot', slot: 'name', fallback: 'guest' }
 */
export function readPattern(text: string): { parts: PatternPart[]; problems: PatternProblem[] } {
  const parts: PatternPart[] = []
  const problems: PatternProblem[] = []
  let plain = ''
  const flush = () => {
    if (plain) parts.push({ kind: 'text', text: plain })
    plain = ''
  }
  let i = 0
  while (i < text.length) {
    const sign = text[i]!
    if ((sign === '{' || sign === '}') && text[i + 1] === sign) {
      plain += sign
      i += 2
    } else if (sign !== '{') {
      plain += sign
      i++
    } else {
      const close = text.indexOf('}', i)
      const line = text.indexOf('\n', i)
      if (close < 0 || (line >= 0 && line < close)) {
        problems.push({ kind: 'unclosed', start: i, end: line < 0 ? text.length : line })
        plain += sign
        i++
        continue
      }
      const part = readGap(text.slice(i + 1, close), { start: i, end: close + 1 })
      flush()
      if ('problem' in part) problems.push(part.problem)
      if (part.part) parts.push(part.part)
      i = close + 1
    }
  }
  flush()
  return { parts, problems }
}

function readGap(
  inside: string,
  at: { start: number; end: number },
): { part: PatternPart | null; problem: PatternProblem } | { part: PatternPart } {
  const other = /^\s*pattern\s*:\s*(.*?)\s*$/i.exec(inside)
  if (other) return { part: { kind: 'pattern', name: other[1]!, ...at } }
  const bar = inside.indexOf('|')
  const words = (bar < 0 ? inside : inside.slice(0, bar)).trim()
  const slot = slotNames.find((name) => name === words.toLowerCase())
  if (!slot) return { part: null, problem: { kind: 'unknownSlot', words, ...at } }
  if (bar >= 0) return { part: { kind: 'slot', slot, fallback: inside.slice(bar + 1).trim() } }
  const part = { kind: 'slot' as const, slot, fallback: '' }
  return alwaysKnown.has(slot) ? { part } : { part, problem: { kind: 'noFallback', slot, ...at } }
}

/**
 * Everything that stands in the way of using a pattern, first to last: its own slots, and the patterns that it takes in.
 *
 * @param texts the other patterns, in the language of this one
 * @example checkPattern({ name: 'Hello', text: 'Dear {nmae|guest}' }, () => undefined)[0].kind // "unknownSlot"
 */
export function checkPattern(
  { name, text }: { name: string; text: string },
  texts: PatternTexts,
): PatternProblem[] {
  const { parts, problems } = readPattern(text)
  const lengths = new Map<string, number>()
  const found = [...problems]
  for (const part of parts) {
    if (part.kind !== 'pattern') continue
    const { start, end } = part
    const loop = loopFrom(part.name, [name], texts, new Set())
    if (loop) found.push({ kind: 'loop', names: loop, start, end })
    else if (texts(part.name) === undefined)
      found.push({ kind: 'unknownPattern', words: part.name, start, end })
  }
  if (!found.some(({ kind }) => kind === 'loop')) {
    const length = lengthOf(parts, texts, lengths)
    if (length > filledAtMost) found.push({ kind: 'tooLong', length, start: 0, end: text.length })
  }
  return found.sort((a, b) => a.start - b.start)
}

/** The names from one pattern to where it meets one on its way; null: it never does. */
function loopFrom(
  name: string,
  way: readonly string[],
  texts: PatternTexts,
  clear: Set<string>,
): string[] | null {
  const key = patternKey(name)
  const met = way.findIndex((each) => patternKey(each) === key)
  if (met >= 0) return [...way.slice(met), name]
  const text = clear.has(key) ? undefined : texts(name)
  if (text === undefined) return null
  for (const part of readPattern(text).parts) {
    const loop = part.kind === 'pattern' ? loopFrom(part.name, [...way, name], texts, clear) : null
    if (loop) return loop
  }
  clear.add(key)
  return null
}

/** Characters with everything taken in, slots left out; each pattern is counted once and remembered. */
function lengthOf(parts: readonly PatternPart[], texts: PatternTexts, known: Map<string, number>): number {
  let sum = 0
  for (const part of parts) {
    if (part.kind === 'text') sum += part.text.length
    if (part.kind === 'slot') sum += part.fallback.length
    if (part.kind !== 'pattern') continue
    const key = patternKey(part.name)
    if (!known.has(key)) {
      const text = texts(part.name)
      known.set(key, text === undefined ? 0 : lengthOf(readPattern(text).parts, texts, known))
    }
    sum += known.get(key)!
  }
  return sum
}

/**
 * The text that a pattern makes in one thread. What is not known takes the words after the bar; a pattern that is no longer there, or
 * would take itself in, takes none. Never longer than `filledAtMost`.
 *
 * @example fillPattern('Dear {name|guest},', { ...nothing, name: 'Perrin' }, () => undefined) // "Dear Perrin,"
 */
export function fillPattern(text: string, values: SlotValues, texts: PatternTexts): string {
  let filled = ''
  let parts = 0
  const write = (of: string, way: readonly string[]): void => {
    for (const part of readPattern(of).parts) {
      if (filled.length >= filledAtMost || ++parts > partsAtMost) return
      if (part.kind === 'text') filled += part.text
      else if (part.kind === 'slot') filled += values[part.slot]?.trim() ? values[part.slot] : part.fallback
      else {
        const key = patternKey(part.name)
        const other = way.includes(key) ? undefined : texts(part.name)
        if (other !== undefined) write(other, [...way, key])
      }
    }
  }
  write(text, [])
  return filled.slice(0, filledAtMost)
}

/**
 * A pattern that goes on taking in another after that got a new name.
 *
 * @example renamedIn('{pattern: hello}', 'Hello', 'Greeting') // "{pattern: Greeting}"
 */
export const renamedIn = (text: string, from: string, to: string): string =>
  readPattern(text)
    .parts.flatMap((part) =>
      part.kind === 'pattern' && patternKey(part.name) === patternKey(from) ? [part] : [],
    )
    .reduceRight((all, { start, end }) => `${all.slice(0, start)}{pattern: ${to}}${all.slice(end)}`, text)

/**
 * The text of a pattern for a language: else the one for any language, else the first.
 *
 * @example textIn([{ language: 'und', text: 'OK' }], 'fr')?.text // "OK"
 */
export const textIn = <Text extends { language: string }>(
  texts: readonly Text[],
  language: string,
): Text | undefined =>
  texts.find((each) => each.language === language) ??
  texts.find((each) => each.language === 'und') ??
  texts[0]

/** An answer with the sign-off under it. */
export const signed = (text: string, signOff: string | null): string =>
  signOff === null || !text.trim() ? text : `${text.trimEnd()}\n\n${signOff}`
