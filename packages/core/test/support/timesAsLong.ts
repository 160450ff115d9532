/** Time in which a measurement means something, and longest time that is spent on one. */
const leastMs = 4
const mostMs = 3_000
const tries = 4
/** So many doublings apart are the two sizes that are measured: noise of one is divided by as many. */
const doublings = 3

/**
 * How many times as long twice the input takes: 2 for what is linear, 4 for what is quadratic. Measured over three
 * doublings, at a size at which that can be measured; what takes no time at all at a large size counts as 1. The best of
 * several tries, since other work only makes it slower.
 *
 * @param make the input, of a number of pieces
 */
export function timesAsLong<T>(make: (pieces: number) => T, read: (input: T) => unknown): number {
  const time = (pieces: number) => {
    const input = make(pieces)
    const began = performance.now()
    read(input)
    return performance.now() - began
  }
  time(200)
  let pieces = 1_000
  for (let took = time(pieces); took < leastMs; took = time(pieces)) {
    if (pieces >= 64_000) return 1
    pieces *= 2
  }
  let [small, large] = [Infinity, Infinity]
  let best = Infinity
  for (let i = 0; i < tries && best > 2.5; i++) {
    small = Math.min(small, time(pieces))
    large = Math.min(large, time(pieces * 2 ** doublings))
    best = (large / small) ** (1 / doublings)
    if (large > mostMs) break
  }
  return best
}
