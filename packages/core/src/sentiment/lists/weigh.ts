import type { Grammar } from './grammar.ts'
import type { Item } from './items.ts'

const questionPositive = 0.15
const questionNegative = 0.7
const beforeContrast = 0.55
const afterContrast = 1.35
const conceded = 0.6
const beforeTurn = 0.75
const afterTurn = 1.2
/** A sentence that turns more often is none; each turn is weighed over the whole of it. */
const mostTurns = 12

/** Weighs the contributions of each sentence by its build: contrast, concession, question, exclamation. */
export function weighSentences(items: Item[], grammar: Grammar | null): void {
  let first = 0
  for (let i = 0; i <= items.length; i++) {
    const item = items[i]
    if (item && item.kind !== 'stop') continue
    if (i > first) weighSentence(items, { first, last: i, mark: item?.key ?? '' }, grammar)
    first = i + 1
  }
}

function weighSentence(
  items: Item[],
  { first, last, mark }: { first: number; last: number; mark: string },
  grammar: Grammar | null,
): void {
  if (mark.startsWith('?'))
    scale(items, first, last, (v) => v * (v > 0 ? questionPositive : questionNegative))
  if (mark.startsWith('!')) scale(items, first, last, (v) => v * (1 + 0.1 * Math.min(mark.length, 3)))
  if (isIronic(items, first, last)) scale(items, first, last, (v) => (v > 0 ? -0.5 * v : v))
  if (!grammar) return
  let turns = 0
  for (let i = first; i < last && turns < mostTurns; i++) {
    const { entry, taken, kind } = items[i]!
    if (kind !== 'word' || taken) continue
    if (entry.contrast || entry.concession) turns++
    if (entry.contrast) weighContrast(items, first, i, last)
    if (entry.concession) {
      let end = i + 1
      while (end < last && items[end]!.kind !== 'break') end++
      scale(items, i, end, (v) => v * conceded)
    }
  }
  if (!turns) weighLastWord(items, first, last)
}

/** Clauses side by side that pull in two ways, without a word between that says which is meant: the last has the say. */
function weighLastWord(items: Item[], first: number, last: number): void {
  let at = last - 1
  while (at > first && items[at]!.valence === 0) at--
  while (at > first && items[at]!.kind !== 'break') at--
  if (at === first) return
  const before = sumOf(items, first, at)
  const after = sumOf(items, at, last)
  if (before * after >= 0) return
  scale(items, first, at, (v) => v * beforeTurn)
  scale(items, at, last, (v) => v * afterTurn)
}

function sumOf(items: readonly Item[], first: number, last: number): number {
  let sum = 0
  for (let i = first; i < last; i++) sum += items[i]!.valence
  return sum
}

const tributes = /^(?:thanks|thank|congratulations|congrats|bravo|nice|good|great|well)$/

/**
 * Rolled eyes; "Great, another cancellation", a glad opening set off by a comma before nothing but trouble; "Nice job
 * losing my luggage", a tribute to something bad.
 */
function isIronic(items: readonly Item[], first: number, last: number): boolean {
  let bad = 0
  let good = 0
  let goodAt = -1
  for (let i = first; i < last; i++) {
    const { kind, key, valence } = items[i]!
    if (kind === 'emoji' && key.startsWith('🙄')) return true
    if (valence < 0) bad++
    if (valence > 0) {
      good++
      goodAt = i
    }
  }
  if (good !== 1 || goodAt - first > 1 || items[goodAt]!.kind !== 'word') return false
  let next = goodAt + 1
  while (next < last && items[next]!.taken && items[next]!.valence === 0) next++
  if (items[next]?.key === ',') return bad > 0 || items[next + 1]?.key === 'another'
  return (
    bad > 0 &&
    next > goodAt + 1 &&
    tributes.test(items[goodAt]!.key) &&
    /ing$|^(?:for|on)$/.test(items[next]?.key ?? '')
  )
}

/** "A but B": B counts more. At the head of a sentence "but" turns against the sentence before, which stands. */
function weighContrast(items: Item[], first: number, at: number, last: number): void {
  if (at === first) return
  scale(items, first, at, (v) => v * beforeContrast)
  scale(items, at + 1, last, (v) => v * afterContrast)
}

function scale(items: Item[], first: number, last: number, change: (valence: number) => number): void {
  for (let i = first; i < last; i++) {
    const item = items[i]!
    if (item.valence !== 0) item.valence = change(item.valence)
  }
}
