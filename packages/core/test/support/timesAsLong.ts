/** Time in which a measurement means something, and longest time that is spent on one. */
const leastMs = 4
const mostMs = 3_000
const tries = 6
/** So many doublings apart are the two sizes that are measured: noise of one is divided by as many. */
const doublings = 3
const times = 2 ** doublings

/**
 * How many times as long twice the input takes: 2 for what is linear, 4 for what is quadratic. Measured over three
 * doublings, at a size at which that can be measured; what takes no time at all at a large size counts as 1. Time of the
 * processor, not of the clock, for other processes work beside; the small size is read so often that both take as long
 * where it is linear, so that whatever disturbs finds both alike. The best of several tries.
 *
 * @param make the input, of a number of pieces
 */
export function timesAsLong<T>(make: (pieces: number) => T, read: (input: T) => unknown): number {
  const time = (pieces: number, often = 1) => {
    const input = make(pieces)
    const began = process.cpuUsage()
    for (let i = 0; i < often; i++) read(input)
    const { user, system } = process.cpuUsage(began)
    return (user + system) / 1000
  }
  time(200)
  let pieces = 1_000
  // One slow reading may be the collector of garbage: what is long is long each time.
  const least = () => Math.min(time(pieces), time(pieces), time(pieces))
  while (least() < leastMs) {
    if (pieces >= 64_000) return 1
    pieces *= 2
  }
  let best = Infinity
  for (let i = 0; i < tries && best > 2.5; i++) {
    const small = time(pieces, times) / times
    const large = time(pieces * times)
    best = Math.min(best, (large / small) ** (1 / doublings))
    if (large > mostMs) break
  }
  return best
}
