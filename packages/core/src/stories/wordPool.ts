import { longest, sharedWords } from './likeness.ts'
import { wordOf, type StoryPrint } from './storyPrint.ts'

/** The words of a text once each, rising. */
export function wordsOf(print: StoryPrint): Int32Array {
  const sorted = print.map(wordOf).sort()
  let count = 0
  for (let i = 0; i < sorted.length; i++) if (!i || sorted[i] !== sorted[i - 1]) sorted[count++] = sorted[i]!
  return sorted.subarray(0, count)
}

/** The words of many texts, one text behind the other: what is compared at random is reached in one step. */
export class WordPool {
  private words = new Int32Array(1 << 14)
  /** Where each text begins; behind the last, where the next will. */
  private readonly begins = [0]

  /** @param words as `wordsOf` gives them */
  add(words: Int32Array): void {
    const from = this.begins.at(-1)!
    const to = from + words.length
    if (to > this.words.length) {
      const larger = new Int32Array(Math.max(to, 2 * this.words.length))
      larger.set(this.words)
      this.words = larger
    }
    this.words.set(words, from)
    this.begins.push(to)
  }

  /** Words that a text shares with the one at a place, as a part of those of the shorter one; 0 when these are too few for copies. */
  shared(own: Int32Array, place: number): number {
    const from = this.begins[place]!
    const size = this.begins[place + 1]! - from
    if (own.length <= size) {
      if (size > longest * own.length) return 0
      return sharedOf({ words: own, from: 0, size: own.length }, { words: this.words, from, size })
    }
    if (own.length > longest * size) return 0
    return sharedOf({ words: this.words, from, size }, { words: own, from: 0, size: own.length })
  }
}

interface Stretch {
  words: Int32Array
  from: number
  size: number
}

function sharedOf(less: Stretch, more: Stretch): number {
  const most = Math.floor((1 - sharedWords) * less.size)
  const [a, b] = [less.words, more.words]
  const end = more.from + more.size
  let missing = 0
  let j = more.from
  for (let i = less.from; i < less.from + less.size; i++) {
    const word = a[i]!
    while (j < end && b[j]! < word) j++
    // Most texts are other ones, and that shows in the first words.
    if ((j === end || b[j] !== word) && ++missing > most) return 0
  }
  return 1 - missing / less.size
}
