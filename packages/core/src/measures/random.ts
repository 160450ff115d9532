/** Numbers from 0 up to 1. */
export type Random = () => number

/**
 * A row of numbers that is the same for the same seed (mulberry32).
 *
 * @example randomFrom(1)() === randomFrom(1)() // true
 */
export function randomFrom(seed: number): Random {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), state | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** Above this a count is drawn in parts, so that no product of chances runs out of figures. */
const partMost = 30

/** A count with a Poisson distribution (Knuth 1969). @param mean 0 and above */
export function poissonOf(mean: number, random: Random): number {
  let count = 0
  for (let left = mean; left > 0; left -= partMost) {
    const limit = Math.exp(-Math.min(left, partMost))
    for (let product = random(); product > limit; product *= random()) count++
  }
  return count
}
