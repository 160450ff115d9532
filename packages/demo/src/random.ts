export type Random = () => number

/** A small seeded generator (mulberry32): the same seed gives the same world. */
export function seeded(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

export const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)]!

export function weighted<T>(random: Random, options: readonly (readonly [T, number])[]): T {
  let left = random() * options.reduce((sum, [, weight]) => sum + weight, 0)
  for (const [value, weight] of options) {
    left -= weight
    if (left < 0) return value
  }
  return options[options.length - 1]![0]
}

/** A deck for each language of a bank. */
export const decksByLanguage = <Each extends { language: string }>(
  random: Random,
  bank: readonly Each[],
): Map<string, Deck<Each>> =>
  new Map(
    [...new Set(bank.map(({ language }) => language))].map((language) => [
      language,
      new Deck(
        random,
        bank.filter((each) => each.language === language),
      ),
    ]),
  )

/** A shuffled deck that is dealt to its end before it is shuffled again, so that nothing comes twice in a row. */
export class Deck<T> {
  private rest: T[] = []
  private last: T | undefined
  constructor(
    private readonly random: Random,
    private readonly cards: readonly T[],
  ) {}

  deal(): T {
    if (!this.rest.length) {
      this.rest = [...this.cards]
      for (let i = this.rest.length - 1; i > 0; i--) {
        const j = Math.floor(this.random() * (i + 1))
        ;[this.rest[i], this.rest[j]] = [this.rest[j]!, this.rest[i]!]
      }
      if (this.rest.length > 1 && this.rest[this.rest.length - 1] === this.last)
        this.rest.unshift(this.rest.pop()!)
    }
    this.last = this.rest.pop()!
    return this.last
  }
}
