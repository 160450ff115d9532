import { gammaPoissonTail } from './distributions.ts'

export interface Spike {
  /** Index of the first hour and of the hour after the last. */
  first: number
  end: number
  /** Index of the hour at whose end it could first be known. */
  found: number
  /** Entries in it, and those to be expected there. */
  count: number
  expected: number
  /** The smallest tail probability met on the way. */
  tail: number
  /** It had not ended when the series did. */
  open: boolean
}

export interface SpikeOptions {
  /** Hour of the local week (0 to 167) of the first value. Default 0. */
  weekHour?: number
  /** Chance that an hour of ordinary noise begins an alarm. Default 1e-4. */
  tail?: number
  /** Fewer entries than this are never a spike. Default 5. */
  minimum?: number
  /** Hours of quiet after which a spike is over; shorter breaks join. Default 8. */
  quietHours?: number
  /** First hour that may be judged; earlier ones are history only. Default: after three weeks. */
  from?: number
}

export const spikeDefaults = { tail: 1e-4, minimum: 5, quietHours: 8 } as const

const week = 168
/** Hours looked at together, so that a slow spike of a small watch is seen as well as a sharp one. */
const windows = [1, 3, 6, 12, 24]
const patternWeeks = 26
const levelHalfLifeHours = 10 * 24
const learningHours = 3 * week
/** What days are taken to vary beyond Poisson's before they have shown it: a shape of 50, worth so many days. */
const priorExcess = 1 / 50
const priorDays = 10
const fade = 0.99

/**
 * Hours with more entries than the hour of the week and the level of the last weeks lead one to expect.
 *
 * The expected count is level times the share of this hour of the week; shares come from up to 26 weeks, drawn to the
 * product of the hour of day and the day of week; the level is a discounted Gamma-Poisson rate. The count of a window
 * given the past is negative binomial, its shape the smaller of the level's own uncertainty and what the days showed of
 * over-dispersion. An alarm is a window whose tail probability lies under `tail` shared out over the five windows. Hours
 * of a spike do not teach the level. Only the past is used, so a spike is found when it could have been.
 *
 * @param counts entries by hour, oldest first
 */
export function findSpikes(counts: readonly number[], options: SpikeOptions = {}): Spike[] {
  const { weekHour = 0, tail = spikeDefaults.tail, minimum = spikeDefaults.minimum } = options
  const { quietHours = spikeDefaults.quietHours, from = learningHours } = options
  const baseline = new Baseline(counts, weekHour)
  const threshold = tail / windows.length
  const spikes: Spike[] = []
  let current: Spike | null = null
  let lastAlarm = 0
  for (let hour = 0; hour < counts.length; hour++) {
    baseline.expect(hour)
    // What an earlier spike has counted is not counted twice; an open one goes on by its newest hours.
    const reach: Pick<Reach, 'floor' | 'longest'> = {
      floor: spikes[spikes.length - 1]?.end ?? 0,
      longest: current ? 6 : 24,
    }
    const alarm: Alarm | null = hour >= from ? strongest(counts, baseline, { hour, minimum, ...reach }) : null
    const alarmed = alarm !== null && alarm.tail < threshold
    if (alarmed) {
      if (current) {
        current.end = hour + 1
        current.tail = Math.min(current.tail, alarm.tail)
      } else {
        current = {
          first: alarm.first,
          end: hour + 1,
          found: hour,
          count: 0,
          expected: 0,
          tail: alarm.tail,
          open: true,
        }
      }
      lastAlarm = hour
    } else if (current && hour - lastAlarm >= quietHours) {
      spikes.push(closed(current, counts, baseline))
      current = null
    }
    baseline.learn(hour, alarmed || current !== null)
  }
  if (current) spikes.push({ ...closed(current, counts, baseline), open: true })
  return spikes
}

interface Alarm {
  first: number
  tail: number
}

interface Reach {
  hour: number
  minimum: number
  floor: number
  longest: number
}

function strongest(
  counts: readonly number[],
  baseline: Baseline,
  { hour, minimum, floor, longest }: Reach,
): Alarm | null {
  let best: Alarm | null = null
  let count = 0
  let expected = 0
  let at = hour
  for (const length of windows) {
    if (length > longest) break
    for (; at > hour - length && at >= floor; at--) {
      count += counts[at]!
      expected += baseline.expected[at]!
    }
    // A window whose newest hour adds nothing above the usual tells of the past, which was judged in its time.
    if (count < minimum || counts[hour]! <= baseline.expected[hour]!) continue
    const tail = gammaPoissonTail(count, expected, baseline.shape(expected))
    if (!best || tail < best.tail) best = { first: steepest(counts, baseline, at + 1, hour), tail }
  }
  return best
}

/** The hour from which on the surplus up to `hour` is greatest: where the spike began within its window. */
function steepest(counts: readonly number[], baseline: Baseline, from: number, hour: number): number {
  let sum = 0
  let most = -Infinity
  let first = hour
  for (let at = hour; at >= from; at--) {
    sum += counts[at]! - baseline.expected[at]!
    if (sum > most && counts[at]! > 0) {
      most = sum
      first = at
    }
  }
  return first
}

/** Ends a spike at its last hour above what was to be expected. */
function closed(spike: Spike, counts: readonly number[], baseline: Baseline): Spike {
  let count = 0
  let expected = 0
  for (let at = spike.first; at < spike.end; at++) {
    count += counts[at]!
    expected += baseline.expected[at]!
  }
  return { ...spike, count, expected, open: false }
}

/** What each hour is expected to bring, learnt hour by hour. */
class Baseline {
  readonly expected: Float64Array
  /** Counts as learnt: in a spike, what was expected stands for them. */
  private readonly learnt: Float64Array
  private shares: Float64Array = new Float64Array(week).fill(1)
  private levelCount = 0
  private levelExposure = 0
  private dayCount = 0
  private dayExpected = 0
  private excess = 0
  private days = 0
  private readonly forget = 2 ** (-1 / levelHalfLifeHours)

  constructor(
    private readonly counts: readonly number[],
    private readonly weekHour: number,
  ) {
    this.expected = new Float64Array(counts.length)
    this.learnt = new Float64Array(counts.length)
  }

  expect(hour: number): void {
    if (hour % week === 0) this.shares = this.weekShares(hour)
    const share = this.shares[(hour + this.weekHour) % week]!
    this.expected[hour] = share * this.level()
  }

  private level(): number {
    return (this.levelCount + 0.5) / (this.levelExposure + 1)
  }

  /** Shape of the negative binomial of a window with this mean. */
  shape(mean: number): number {
    const own = this.levelCount + 0.5
    // Method of moments over whole days: what the days showed beyond Poisson's, as a share of the squared mean.
    const excess = Math.max(0, (this.excess + priorDays * priorExcess) / (this.days + priorDays))
    const daily = excess > 0 ? 1 / excess : Infinity
    return Math.max(0.05, 1 / (1 / own + 1 / daily), mean * 1e-9)
  }

  learn(hour: number, inSpike: boolean): void {
    const share = this.shares[(hour + this.weekHour) % week]!
    const expected = this.expected[hour]!
    const value = inSpike ? Math.min(this.counts[hour]!, expected) : this.counts[hour]!
    this.learnt[hour] = value
    this.levelCount = this.levelCount * this.forget + value
    this.levelExposure = this.levelExposure * this.forget + share
    this.dayCount += value
    this.dayExpected += expected
    if ((hour + 1) % 24 === 0) {
      if (hour >= week && this.dayExpected > 0 && !inSpike) {
        // (x - m)² - x estimates m² / shape, with x of mean m; quiet days say little of it.
        const over = ((this.dayCount - this.dayExpected) ** 2 - this.dayExpected) / this.dayExpected ** 2
        const weight = this.dayExpected / (this.dayExpected + 10)
        this.excess = this.excess * fade + over * weight
        this.days = this.days * fade + weight
      }
      this.dayCount = 0
      this.dayExpected = 0
    }
  }

  /** Share of each hour of the week, mean 1. */
  private weekShares(hour: number): Float64Array {
    const start = Math.max(0, hour - patternWeeks * week)
    const weeks = (hour - start) / week
    const shares = new Float64Array(week).fill(1)
    if (weeks < 1) return shares
    const sums = new Float64Array(week)
    for (let at = start; at < hour; at++) sums[(at + this.weekHour) % week]! += this.learnt[at]!
    const total = sums.reduce((sum, x) => sum + x, 0)
    if (total === 0) return shares
    const byHour = new Float64Array(24)
    const byDay = new Float64Array(7)
    sums.forEach((x, h) => {
      byHour[h % 24]! += x
      byDay[Math.floor(h / 24)]! += x
    })
    // Marginals drawn to the even share, single hours to the product of the marginals: Gamma priors on the factors.
    const hourShare = byHour.map((x) => drawn(x, total / 24, 3))
    const dayShare = byDay.map((x) => drawn(x, total / 7, 5))
    for (let h = 0; h < week; h++) {
      const product = hourShare[h % 24]! * dayShare[Math.floor(h / 24)]!
      shares[h] = product * drawn(sums[h]!, (total / week) * product, 12)
    }
    const mean = shares.reduce((sum, x) => sum + x, 0) / week
    return shares.map((x) => x / mean)
  }
}

const drawn = (count: number, expected: number, weight: number) => (count + weight) / (expected + weight)
