import { placedWords } from '../../text/index.ts'
import { isStopWord } from '../../phrases/stopWords.ts'
import { compileWatches } from '../../watches/index.ts'
import { clausesOf } from '../clauses.ts'
import type { Aspect } from '../types.ts'
import { caseScale, fitLogistic, keptWeights, round4, type Case } from './logistic.ts'
import { groupsOf } from './groups.ts'

/** Which words tell an aspect where none of its terms stands. */
export interface AlikeAspect {
  bias: number
  weights: Record<string, number>
  /** Log-odds from which a clause is about the aspect. */
  from: number
}

export interface AlikeAspectLearning {
  aspect: number
  /** Clauses that hold a term. */
  n: number
  /** Of held-back clauses, with their terms hidden: those found, and how many of them had held a term. */
  found: number
  right: number
  /** Null where the words do not tell enough. */
  model: AlikeAspect | null
}

/** An aspect named in fewer clauses than this is not learnt. */
export const aspectClausesNeeded = 30
/** Of the clauses that are found at least this share held the term. Some of the others are about the aspect, too. */
const leastPrecision = 0.75
const leastFound = 8
const leastClauses = 3
const folds = 5

/** The words by which clauses are compared. */
export const tellingWords = (clause: string): string[] => [
  ...new Set(placedWords(clause).flatMap(({ word }) => (isStopWord(word) ? [] : [word]))),
]

interface Clause {
  /** Words outside the terms. */
  words: string[]
  aspects: Set<number>
  fold: number
}

/** Clauses of texts with the aspects that are named in them, and the words beside their names. */
function readClauses(texts: readonly string[], aspects: readonly Aspect[]): Clause[] {
  const watches = compileWatches(aspects.map(({ id, terms }) => ({ id, anyOf: terms })))
  const groups = groupsOf(texts.map((text) => ({ text })))
  return texts.flatMap((text, i) => {
    // Copies with changes lie in one fold: what one of them shows, the other would only repeat.
    const fold = groups[i]! % folds
    return clausesOf(text).map(({ start, end }): Clause => {
      const clause = text.slice(start, end)
      const hits = watches.match({ text: clause })
      const hidden = hits
        .flatMap(({ spans }) => spans)
        .sort((a, b) => b.start - a.start)
        .reduce((left, span) => `${left.slice(0, span.start)} ${left.slice(span.end)}`, clause)
      return { words: tellingWords(hidden), aspects: new Set(hits.map(({ id }) => Number(id))), fold }
    })
  })
}

export function alikeLogit(words: readonly string[], { bias, weights }: Omit<AlikeAspect, 'from'>): number {
  let sum = 0
  let known = 0
  for (const word of words)
    if (Object.hasOwn(weights, word)) {
      sum += weights[word]!
      known++
    }
  return bias + sum * caseScale(known)
}

/**
 * Learns which words stand beside the names of each aspect, from clauses that name it against those that do not. An aspect is
 * read without its terms only where, on texts held back and with the terms hidden, three of four clauses found had held one.
 *
 * @param texts the more the better; time grows with clauses times aspects
 */
export function learnAlikeAspects(
  texts: readonly string[],
  aspects: readonly Aspect[],
): AlikeAspectLearning[] {
  const clauses = readClauses(texts, aspects).filter(({ words }) => words.length > 0)
  const counts = new Map<string, number>()
  for (const { words } of clauses) for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1)
  const names = [...counts].flatMap(([word, n]) => (n >= leastClauses ? [word] : [])).sort()
  const number = new Map(names.map((word, i) => [word, i]))
  const features = clauses.map(({ words }) => words.flatMap((word) => number.get(word) ?? []))
  return aspects.map(({ id }) => {
    const aspect = Number(id)
    const cases = clauses.map((clause, i): Case => ({
      features: features[i]!,
      offset: 0,
      is: clause.aspects.has(aspect),
    }))
    const n = cases.filter(({ is }) => is).length
    if (n < aspectClausesNeeded) return { aspect, n, found: 0, right: 0, model: null }
    const held: { logit: number; is: boolean }[] = []
    for (let fold = 0; fold < folds; fold++) {
      const fitted = fitLogistic(
        cases.filter((_, i) => clauses[i]!.fold !== fold),
        names.length,
      )
      cases.forEach(({ features: has, is }, i) => {
        if (clauses[i]!.fold !== fold) return
        const sum = has.reduce((all, f) => all + fitted.weights[f]!, 0)
        held.push({ logit: fitted.bias + sum * caseScale(has.length), is })
      })
    }
    const best = lowestSure(held)
    if (!best) return { aspect, n, found: 0, right: 0, model: null }
    const { bias, weights } = fitLogistic(cases, names.length)
    const model = { bias: round4(bias), weights: keptWeights(names, weights), from: round4(best.from) }
    return { aspect, n, found: best.found, right: best.right, model }
  })
}

/** So many of the last found are looked at: half of them at least must be right. */
const lastLookedAt = 8

/** The lowest log-odds from which enough of what is found is right, of all that are found and of the last ones. */
function lowestSure(
  held: { logit: number; is: boolean }[],
): { from: number; found: number; right: number } | null {
  held.sort((a, b) => b.logit - a.logit)
  let right = 0
  let best: { from: number; found: number; right: number } | null = null
  held.forEach(({ logit, is }, i) => {
    if (is) right++
    const found = i + 1
    const lately = held.slice(Math.max(0, found - lastLookedAt), found).filter((each) => each.is).length
    if (is && found >= leastFound && right / found >= leastPrecision && lately >= lastLookedAt / 2)
      // Half way to the next, which is not sure any more.
      best = { from: (logit + (held[found]?.logit ?? logit)) / 2, found, right }
  })
  return best
}
