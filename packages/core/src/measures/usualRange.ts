import { bunchingOf, type Bunching } from './change.ts'
import { gammaPoissonTail, studentTail } from './distributions.ts'

/** `notCollected`: so much of the period is missing that its count says nothing. */
export type UsualVerdict = 'above' | 'usual' | 'below' | 'tooLittleHistory' | 'notCollected'

/** What the periods before lead one to expect of a count. */
export interface Usual {
  /** Mean of the periods it rests on. */
  mean: number
  /** Periods it rests on. */
  periods: number
  /** Periods left out, since they were themselves beyond anything usual. */
  leftOut: number
  /** Two-sided: how often chance alone leads so far away from the mean, 0 to 1. */
  chance: (count: number) => number
  /** The counts whose chance is at least this. */
  range: (atLeast: number) => { low: number; high: number }
}

/** Fewer periods say nothing of a spread. */
export const usualMinimum = 4
/** A count outside of what is usual is met in at most one of 20 periods in which nothing happens. */
export const usualChance = 0.05
/** A period as rare as that among the others does not say what is usual. */
const burstChance = 0.001
/** Where there is less, bursts are all there is. */
const burstMean = 5

/**
 * What the preceding periods of the same length lead one to expect of the next. Three models, and the least surprised of them is
 * believed: counts that come independently (negative binomial: Poisson's, with a rate known from so many counts only; with
 * Jeffreys' half count more), counts that come in bunches (the same with the variance of the periods, and known from so many bunches), and values that
 * scatter as the periods did (Student's t for one more of them). How often it is wrong when nothing happens: docs/statistics.md.
 *
 * @param previous counts of the preceding periods, oldest first
 * @param k periods looked at, counted from the last (default 6)
 * @param bunching where it is known from more than these periods
 * @returns null with fewer than 4 periods
 * @example usualOf([20, 22, 18, 24, 20, 21])?.range(0.05) // {"low":12,"high":31}
 */
export function usualOf(previous: readonly number[], k = 6, bunching?: Bunching): Usual | null {
  const periods = previous.slice(-k)
  if (periods.length < usualMinimum) return null
  const kept = withoutBurst(periods)
  const n = kept.length
  const { mean, chance } = expectation(kept, bunching)
  return {
    mean,
    periods: n,
    leftOut: periods.length - n,
    chance,
    range: (atLeast) => rangeOf(mean, chance, atLeast),
  }
}

function expectation(
  periods: readonly number[],
  bunching = bunchingOf(periods),
): Pick<Usual, 'mean' | 'chance'> {
  const n = periods.length
  const sum = periods.reduce((all, count) => all + count, 0)
  const mean = sum / n
  const spread = Math.sqrt(bunching.dispersion * mean * (1 + 1 / n))
  const { dispersion } = bunching
  const models = [countModel(n, sum, 1)]
  if (dispersion > leastBunching) models.push(countModel(n, sum, dispersion))
  const counted = (count: number, { expected, shape }: CountModel) => {
    const side =
      count > mean
        ? gammaPoissonTail(count, expected, shape)
        : 1 - gammaPoissonTail(count + 1, expected, shape)
    return Math.min(1, 2 * side)
  }
  const scattered = (count: number) =>
    spread > 0 ? studentTail(Math.abs(count - mean) / spread, bunching.freedom) : 0
  return {
    mean,
    chance: (count) => Math.max(scattered(count), ...models.map((model) => counted(count, model))),
  }
}

/** Below this, bunches make no difference that could be told. */
const leastBunching = 1.05

interface CountModel {
  expected: number
  shape: number
}

/** What so many counts of n periods lead one to expect, when they come in bunches: there are as many times fewer of these. */
function countModel(n: number, sum: number, dispersion: number): CountModel {
  const expected = (sum + 0.5 * dispersion) / n
  const known = sum / dispersion + 0.5
  return { expected, shape: 1 / ((dispersion - 1) / expected + 1 / known) }
}

/** One period of so many may be a burst. */
const burstsIn = 6

/** Without the greatest, when the others have never seen the like: a bad week, or two days of it, must not make all after it usual. */
function withoutBurst(periods: readonly number[]): readonly number[] {
  if (periods.length <= usualMinimum) return periods
  const rising = [...periods].sort((a, b) => a - b)
  for (let bursts = Math.floor(periods.length / burstsIn); bursts > 0; bursts--) {
    const least = rising[rising.length - bursts]!
    const others = periods.filter((count) => count < least)
    if (others.length < usualMinimum) continue
    const { mean, chance } = expectation(others)
    if (mean >= burstMean && chance(least) < burstChance) return others
  }
  return periods
}

function rangeOf(
  mean: number,
  chance: (count: number) => number,
  atLeast: number,
): { low: number; high: number } {
  const middle = Math.round(mean)
  let [high, step] = [middle, 1]
  while (chance(high + step) >= atLeast) [high, step] = [high + step, step * 2]
  for (; step >= 1; step /= 2) if (chance(high + step) >= atLeast) high += step
  let low = middle
  for (step = 2 ** Math.ceil(Math.log2(middle + 1)); step >= 1; step /= 2)
    if (low - step >= 0 && chance(low - step) >= atLeast) low -= step
  return { low, high }
}

export interface UsualReading {
  verdict: UsualVerdict
  /** Two-sided: how often chance alone leads so far away; 1 with too little history. */
  p: number
  low: number | null
  high: number | null
  /** Periods it rests on. */
  periods: number
}

/**
 * Where a count stands against the usual range of the periods before it.
 *
 * @example readUsual(90, [20, 22, 18, 24, 20, 21]).verdict // "above"
 */
export function readUsual(count: number, previous: readonly number[], k = 6): UsualReading {
  const usual = usualOf(previous, k)
  if (!usual) return { verdict: 'tooLittleHistory', p: 1, low: null, high: null, periods: previous.length }
  const p = usual.chance(count)
  const verdict = p >= usualChance ? 'usual' : count > usual.mean ? 'above' : 'below'
  return { verdict, p, ...usual.range(usualChance), periods: usual.periods }
}

/**
 * The middle value; of an even number, the mean of the two middle ones. NaN for none.
 *
 * @example median([3, 1, 2, 10]) // 2.5
 */
export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length >> 1
  if (!sorted.length) return Number.NaN
  return sorted.length % 2 ? sorted[half]! : (sorted[half - 1]! + sorted[half]!) / 2
}
