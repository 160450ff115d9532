import { placedWords } from '../../text/index.ts'
import { isStopWord } from '../../phrases/stopWords.ts'

/** A text whose reading is in doubt. */
export interface Doubt {
  id: number
  text: string
  /** 0 to 1. */
  confidence: number
}

/** Texts that share less of their words than this are not alike. */
const alikeFrom = 0.25

/**
 * The doubts whose settling tells most: each by how unsure it is and how many other doubts are alike and not yet told by one
 * chosen before. Time grows with the number of pairs of texts that share a word.
 *
 * @param doubts at most some thousands
 * @param most how many to choose
 * @returns their ids, the most useful first, with the number of alike ones
 */
export function choosingDoubts(doubts: readonly Doubt[], most: number): { id: number; alike: number }[] {
  const words = doubts.map(({ text }) => [
    ...new Set(placedWords(text).flatMap(({ word }) => (isStopWord(word) ? [] : [word]))),
  ])
  const neighbours = neighboursOf(words)
  const left = doubts.map(({ confidence }) => 1 - confidence)
  const chosen: { id: number; alike: number }[] = []
  const taken = new Set<number>()
  const worth = (i: number) =>
    left[i]! + neighbours[i]!.reduce((sum, { j, share }) => sum + share * left[j]!, 0)
  while (chosen.length < Math.min(most, doubts.length)) {
    let best = -1
    let highest = -1
    for (let i = 0; i < doubts.length; i++) {
      if (taken.has(i)) continue
      const value = worth(i)
      if (value > highest) [best, highest] = [i, value]
    }
    taken.add(best)
    chosen.push({ id: doubts[best]!.id, alike: neighbours[best]!.length })
    // What one of them tells need not be asked of the others again.
    for (const { j, share } of neighbours[best]!) left[j]! *= 1 - share
    left[best] = 0
  }
  return chosen
}

/** For each text the others that share words with it, by the share (Jaccard) of all words of both. */
function neighboursOf(words: readonly (readonly string[])[]): { j: number; share: number }[][] {
  const holders = new Map<string, number[]>()
  words.forEach((each, i) => {
    for (const word of each) {
      const list = holders.get(word)
      if (list) list.push(i)
      else holders.set(word, [i])
    }
  })
  // A word of very many texts makes none of them alike.
  const common = Math.max(20, words.length / 10)
  return words.map((each, i) => {
    const shared = new Map<number, number>()
    for (const word of each) {
      const list = holders.get(word)!
      if (list.length > common) continue
      for (const j of list) if (j !== i) shared.set(j, (shared.get(j) ?? 0) + 1)
    }
    return [...shared].flatMap(([j, n]) => {
      const share = n / (each.length + words[j]!.length - n)
      return share >= alikeFrom ? [{ j, share }] : []
    })
  })
}
