import { splitSentences, type Sentence, type Token } from '../text/index.ts'
import type { Occurrence } from './automaton.ts'
import type { NearPair } from './query.ts'

/** Sentences of a text, found only when a near pair asks for them. */
export class Places {
  private sentences: Sentence[] | undefined
  constructor(
    private readonly text: string,
    private readonly tokens: readonly Token[],
  ) {}

  at(offset: number): { sentence: number; paragraph: number } {
    this.sentences ??= splitSentences(this.text, this.tokens)
    let low = 0
    let high = this.sentences.length - 1
    while (low < high) {
      const middle = (low + high + 1) >> 1
      if (this.sentences[middle]!.start <= offset) low = middle
      else high = middle - 1
    }
    return { sentence: low, paragraph: this.sentences[low]?.paragraph ?? 0 }
  }
}

/** The first two occurrences, not overlapping, that are as near as the pair asks; null when there are none. */
export function nearest(
  first: readonly Occurrence[],
  second: readonly Occurrence[],
  within: NearPair['within'],
  places: Places,
): [Occurrence, Occurrence] | null {
  for (const a of first)
    for (const b of second) {
      if (a.start < b.end && b.start < a.end) continue
      if (isNear(a, b, within, places)) return [a, b]
    }
  return null
}

function isNear(a: Occurrence, b: Occurrence, within: NearPair['within'], places: Places): boolean {
  if (typeof within === 'number') {
    const distance = a.start < b.start ? b.firstWord - a.lastWord : a.firstWord - b.lastWord
    return distance <= within
  }
  const one = places.at(a.start)
  const two = places.at(b.start)
  return within === 'sentence' ? one.sentence === two.sentence : one.paragraph === two.paragraph
}
