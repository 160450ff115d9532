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

/**
 * The first two occurrences, not overlapping, that are as near as the pair asks; null when there are none. What lies far away
 * from an occurrence is not looked at, so that twice the text takes twice the time.
 */
export function nearest(
  first: readonly Occurrence[],
  second: readonly Occurrence[],
  within: NearPair['within'],
  places: Places,
): [Occurrence, Occurrence] | null {
  const around = typeof within === 'number' ? byWord(second, within) : byPlace(second, within, places)
  for (const a of first)
    for (const b of around(a)) {
      if (a.start < b.end && b.start < a.end) continue
      if (typeof within !== 'number' || wordsBetween(a, b) <= within) return [a, b]
    }
  return null
}

const wordsBetween = (a: Occurrence, b: Occurrence) =>
  a.start < b.start ? b.firstWord - a.lastWord : a.firstWord - b.lastWord

type Around = (a: Occurrence) => Iterable<Occurrence>

/** Occurrences whose words may be near enough, in their order. */
function byWord(list: readonly Occurrence[], within: number): Around {
  const sorted = [...list].sort((a, b) => a.firstWord - b.firstWord || a.start - b.start)
  const longest = list.reduce((most, { firstWord, lastWord }) => Math.max(most, lastWord - firstWord), 0)
  return function* around(a) {
    let [low, high] = [0, sorted.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (sorted[middle]!.firstWord < a.firstWord - within - longest) low = middle + 1
      else high = middle
    }
    for (let i = low; i < sorted.length && sorted[i]!.firstWord <= a.lastWord + within; i++) yield sorted[i]!
  }
}

/** Occurrences of the same sentence or paragraph, in their order. */
function byPlace(list: readonly Occurrence[], within: 'sentence' | 'paragraph', places: Places): Around {
  const grouped = new Map<number, Occurrence[]>()
  for (const each of list) {
    const place = places.at(each.start)[within]
    const group = grouped.get(place)
    if (group) group.push(each)
    else grouped.set(place, [each])
  }
  return ({ start }) => grouped.get(places.at(start)[within]) ?? []
}
