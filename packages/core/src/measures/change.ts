import { normalTail, studentQuantile, studentTail, z95 } from './distributions.ts'
import type { NetSentiment } from './netSentiment.ts'
import type { Share } from './shareOfVoice.ts'

export interface Change {
  difference: number
  /** 95% interval. */
  low: number
  high: number
  /** Two-sided: how often chance alone would give so much, to the same approximation as the interval. */
  p: number
  /** Both sides rest on enough to say anything. */
  enough: boolean
  /** There is enough, and the interval does not hold 0; otherwise there is no clear change. */
  sure: boolean
}

/** Of fewer on either side nothing is said. */
export const changeMinimum = 5
/** Of counts: of fewer in both periods together. */
export const countMinimum = 10

const changeOf = (
  difference: number,
  range: { low: number; high: number; p: number; enough: boolean },
): Change => ({
  difference,
  ...range,
  sure: range.enough && (range.low > 0 || range.high < 0),
})

/**
 * From one net sentiment to a later one, independent samples: half-widths add as squares, each side with its own (as in
 * Newcombe 1998, method 10). Null when either is missing.
 *
 * @example changeOfNet(netSentiment(10, 0, 10), netSentiment(19, 0, 1))?.sure // true
 */
export function changeOfNet(before: NetSentiment | null, after: NetSentiment | null): Change | null {
  return between(before && { ...before, value: before.net }, after && { ...after, value: after.net })
}

/**
 * From one share to another, each with its Wilson interval (Newcombe 1998, method 10).
 *
 * @example changeOfShare(share(10, 100), share(12, 100))?.sure // false
 */
export function changeOfShare(before: Share | null, after: Share | null): Change | null {
  return between(before && { ...before, value: before.share }, after && { ...after, value: after.share })
}

/** Anything with a 95% interval. */
export interface Ranged {
  value: number
  low: number
  high: number
  /** What it rests on. */
  n: number
}

/** The difference of two values of independent samples; null when either is missing. */
export function between(before: Ranged | null, after: Ranged | null): Change | null {
  if (!before || !after) return null
  const difference = after.value - before.value
  const below = Math.hypot(after.value - after.low, before.high - before.value)
  const above = Math.hypot(after.high - after.value, before.value - before.low)
  const toNothing = difference > 0 ? below : above
  return changeOf(difference, {
    low: difference - below,
    high: difference + above,
    p: toNothing ? 2 * normalTail((Math.abs(difference) / toNothing) * z95) : 1,
    enough: Math.min(before.n, after.n) >= changeMinimum,
  })
}

export interface RateChange extends Change {
  /** After over before; null when nothing was before. */
  ratio: number | null
}

/** How much counts come in bunches, and how well that is known. */
export interface Bunching {
  /** Variance over mean of the counts; 1 for counts that come independently. */
  dispersion: number
  /** Degrees of freedom; 0 when nothing is known of it. */
  freedom: number
}

export interface CountOfTime {
  count: number
  days: number
  /** Of this side alone; otherwise as counts that come independently. */
  bunching?: Bunching
}

/**
 * From one count to another, of periods of given lengths: the difference per unit of time. The variance of a count is
 * Poisson's or, when that is more, Poisson's times its bunching, with Student's t for how well the bunching is known (of two
 * bunchings: Welch 1947, Satterthwaite 1946).
 *
 * @param shared bunching of both, measured on other periods of the same length
 * @example changeOfCount({ count: 20, days: 10 }, { count: 60, days: 10 }) // {"difference":4,"low":2.236,"high":5.764,"p":0.0000087,"enough":true,"sure":true,"ratio":3}
 */
export function changeOfCount(before: CountOfTime, after: CountOfTime, shared?: Bunching): RateChange {
  const difference = after.count / after.days - before.count / before.days
  // Half a count more on each side keeps an empty period from looking certain.
  const variance = (side: CountOfTime) => (side.count + 0.5) / side.days ** 2
  const even = Math.sqrt(variance(before) + variance(after))
  const [one, two] = [
    known(before.bunching) ?? known(after.bunching) ?? shared,
    known(after.bunching) ?? known(before.bunching) ?? shared,
  ]
  const [spreadOne, spreadTwo] = [
    variance(before) * (one?.dispersion ?? 1),
    variance(after) * (two?.dispersion ?? 1),
  ]
  const bunched = Math.sqrt(spreadOne + spreadTwo)
  const freedom = one && two ? together(one === two, [one, two], [spreadOne, spreadTwo]) : 0
  const halfEven = z95 * even
  const halfBunched = freedom > 0 ? studentQuantile(0.95, freedom) * bunched : 0
  const half = Math.max(halfEven, halfBunched)
  const ratio = before.count ? after.count / after.days / (before.count / before.days) : null
  const size = Math.abs(difference)
  return {
    ...changeOf(difference, {
      low: difference - half,
      high: difference + half,
      p: Math.max(
        2 * normalTail(size / even),
        freedom > 0 && bunched > 0 ? studentTail(size / bunched, freedom) : 0,
      ),
      enough: before.count + after.count >= countMinimum,
    }),
    ratio,
  }
}

/** An empty period does not say how its counts come; then the other one's is taken. */
const known = (bunching: Bunching | undefined) => (bunching?.freedom ? bunching : undefined)

function together(same: boolean, [one, two]: [Bunching, Bunching], [a, b]: [number, number]): number {
  if (same) return one.freedom
  const all = (a * a) / one.freedom + (b * b) / two.freedom
  return all > 0 ? (a + b) ** 2 / all : 0
}

/**
 * How much counts of equal periods come in bunches.
 *
 * @example bunchingOf([0, 0, 12, 0]) // {"dispersion":12,"freedom":3}
 */
export function bunchingOf(counts: readonly number[]): Bunching {
  const n = counts.length
  const mean = n ? meanOf(counts) : 0
  if (n < 2 || mean === 0) return { dispersion: 1, freedom: 0 }
  return { dispersion: squaresAbout(mean, counts) / (n - 1) / mean, freedom: n - 1 }
}

/** So many standard deviations of the others make one count a burst. */
const burstDeviations = 6
/** Where little is said, a burst is one of so many counts beyond the others. */
const burstCount = 8

/**
 * How much counts of equal periods come in bunches, told from several rows of them, each about its own mean. Of a row the greatest
 * counts as far as a burst at most: what the others have never seen the like of does not say what is usual.
 *
 * @example bunchingOfRows([[4, 6], [40, 60]]) // {"dispersion":3.673,"freedom":2}
 */
export function bunchingOfRows(rows: readonly (readonly number[])[]): Bunching {
  let [squares, expected, freedom] = [0, 0, 0]
  for (const row of rows) {
    if (row.length < 2) continue
    const counts = withoutBurst(row)
    const mean = meanOf(counts)
    squares += squaresAbout(mean, counts)
    expected += mean * (counts.length - 1)
    freedom += counts.length - 1
  }
  return expected > 0 ? { dispersion: squares / expected, freedom } : { dispersion: 1, freedom: 0 }
}

const meanOf = (counts: readonly number[]) => counts.reduce((sum, c) => sum + c, 0) / counts.length
const squaresAbout = (mean: number, counts: readonly number[]) =>
  counts.reduce((sum, c) => sum + (c - mean) ** 2, 0)

function withoutBurst(counts: readonly number[]): readonly number[] {
  const at = counts.indexOf(Math.max(...counts))
  const others = counts.filter((_, i) => i !== at)
  if (others.length < 2) return counts
  const mean = meanOf(others)
  const deviation = Math.sqrt(Math.max(mean, squaresAbout(mean, others) / (others.length - 1)))
  const most = mean + Math.max(burstCount, burstDeviations * deviation)
  return counts[at]! > most ? counts.with(at, most) : counts
}
