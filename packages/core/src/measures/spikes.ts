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
  /** It did not pass: what began then is what is usual since. */
  newLevel: boolean
}

export interface SpikeOptions {
  /** Hour of the local week (0 to 167) of each value. Default: from 0 on, without a change of the clock. */
  weekHours?: readonly number[]
  /** Hours that were not collected: they are neither judged nor learnt from, whatever was counted in them. Default: none. */
  unknown?: readonly boolean[]
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
const day = 24
/** Hours looked at together, so that a slow spike of a small watch is seen as well as a sharp one. */
const windows = [1, 3, 6, 12, 24, 72, 168] as const
/** Within a spike only its newest hours say whether it goes on. */
const longestWithin = 6
const patternWeeks = 26
const levelHalfLifeHours = 10 * day
const learningHours = 3 * week
/** What counts are taken to vary beyond Poisson's before they have shown it, and how many windows that is worth. */
const priorDispersion = 1.2
const priorWindows = 10
/** Longer windows are few: so many of the next shorter ones speak for them. */
const borrowedWindows = 20
/** Hours after which what a window showed counts half. */
const dispersionHalfLife = 60 * day
/** So many standard deviations of one window count at most: a spike is no measure of what is usual. */
const farthest = 4.5
/** Outside of spikes a bunch of so many entries counts whole all the same: where little is said, bunches are what is usual. */
const bunchSize = 12
/** Hours after which it is known whether one belonged to a spike, and its scatter teaches. */
const decidedAfter = 3 * day
/** The level of the last months counts as much as so many entries of the last weeks: a small watch has few of these. */
const lastingEntries = 40
/** Days after which a level that does not go back is the usual one; how far it has to lie above that before, and on how many days. */
const newLevelDays = 14
const newLevelRatio = 1.3
const newLevelOn = 11
const latestDays = 4
const latestRatio = 1.15
const newLevelChance = 1e-3
const commonDispersion = 3
const forget = 2 ** (-1 / levelHalfLifeHours)
const forgetLasting = 2 ** (-1 / (6 * levelHalfLifeHours))

/**
 * Hours with more entries than the hour of the week and the level of the last weeks lead one to expect.
 *
 * The expected count is level times the share of this hour of the week; shares come from up to 26 weeks, drawn to the
 * product of the hour of day and the day of week; the level is a discounted Gamma-Poisson rate. The count of a window
 * given the past is negative binomial, with the level's own uncertainty and the bunching that windows of its length have shown.
 * An alarm is a window whose tail probability lies under `tail` shared out over the windows; longer ones, which are looked at
 * again with much the same entries, have more of it. Hours of a spike do not teach the level; when two weeks stay above it, that is
 * the new level, and told so. Only the past is used, so a spike is found when it could have been. False alarms, delay and power:
 * docs/statistics.md.
 *
 * @param all entries by hour, oldest first
 */
export function findSpikes(all: readonly number[], options: SpikeOptions = {}): Spike[] {
  const { unknown, weekHours, tail = spikeDefaults.tail, minimum = spikeDefaults.minimum } = options
  const { quietHours = spikeDefaults.quietHours, from = learningHours } = options
  const counts = unknown ? all.map((count, hour) => (unknown[hour] ? 0 : count)) : all
  const baseline = new Baseline(counts, weekHours ?? counts.map((_, hour) => hour % week), unknown)
  const spikes: Spike[] = []
  let current: Spike | null = null
  let lastAlarm = 0
  for (let hour = 0; hour < counts.length; hour++) {
    baseline.expect(hour)
    // What an earlier spike has counted is not counted twice; an open one goes on by its newest hours.
    const floor = spikes[spikes.length - 1]?.end ?? 0
    const longest = current ? longestWithin : week
    const alarm: Alarm | null =
      hour >= from ? strongest(counts, baseline, { hour, minimum, floor, longest, tail }) : null
    if (alarm) {
      if (current) {
        current.end = hour + 1
        current.tail = Math.min(current.tail, alarm.tail)
      } else current = begun(alarm, hour)
      baseline.mark(current.first, hour + 1)
      lastAlarm = hour
    } else if (current && hour - lastAlarm >= quietHours) {
      spikes.push(closed(current, counts, baseline))
      current = null
    }
    baseline.learn(hour, alarm !== null || current !== null)
    if ((hour + 1) % day === 0 && baseline.isNewLevel(hour)) {
      const since = hour + 1 - newLevelDays * day
      const told = spikes.find((spike) => spike.end > since) ?? current
      if (told) told.newLevel = true
      if (current) spikes.push(closed(current, counts, baseline))
      current = null
      baseline.takeLevel(hour)
    }
  }
  if (current) spikes.push({ ...closed(current, counts, baseline), open: true })
  return spikes
}

const begun = ({ first, tail }: Alarm, hour: number): Spike => ({
  first,
  end: hour + 1,
  found: hour,
  count: 0,
  expected: 0,
  tail,
  open: true,
  newLevel: false,
})

/** Hours between two spikes of one event: what comes up again the morning after. */
const oneEvent = 12

/**
 * Spikes as one tells of them: those that follow each other closely are one. An alert tells of each, since it does not know what follows.
 *
 * @param spikes in their order
 * @returns the same when they lie apart
 */
export function joinSpikes(spikes: readonly Spike[]): Spike[] {
  const joined: Spike[] = []
  for (const spike of spikes) {
    const last = joined[joined.length - 1]
    if (!last || spike.first - last.end > oneEvent) {
      joined.push(spike)
      continue
    }
    joined[joined.length - 1] = {
      ...last,
      end: spike.end,
      count: last.count + spike.count,
      expected: last.expected + spike.expected,
      tail: Math.min(last.tail, spike.tail),
      open: spike.open,
      newLevel: last.newLevel || spike.newLevel,
    }
  }
  return joined
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
  tail: number
}

function strongest(
  counts: readonly number[],
  baseline: Baseline,
  { hour, minimum, floor, longest, tail: all }: Reach,
): Alarm | null {
  // A window whose newest hour adds nothing above the usual tells of the past, which was judged in its time.
  if (counts[hour]! <= baseline.expected[hour]!) return null
  let best: { alarm: Alarm; ratio: number } | null = null
  for (const [i, length] of windows.entries()) {
    if (length > longest) break
    const from = Math.max(floor, hour + 1 - length)
    const { count, expected } = baseline.between(from, hour + 1)
    if (count < minimum) continue
    const shape = baseline.shape(expected, i)
    // So near to what is expected no window's chance is small: the tail need not be worked out.
    if (count < expected + 2 * Math.sqrt(expected + expected ** 2 / shape)) continue
    const tail = gammaPoissonTail(count, expected, shape)
    // What is left of a window after an earlier spike is a shorter window.
    const ratio = tail / (all * shareOf(hour + 1 - from))
    if (ratio < 1 && (!best || ratio < best.ratio)) best = { alarm: { first: from, tail }, ratio }
  }
  return best && { ...best.alarm, first: steepest(counts, baseline, best.alarm.first, hour) }
}

/** A window's part of the false alarms: of a long one, an hour later most is the same. */
const shareOf = (length: number) => (2 * Math.max(1, length / 2)) / windows.length

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
  /** Sums up to an hour, not included. */
  private readonly countSums: Float64Array
  private readonly expectedSums: Float64Array
  private shares: Float64Array = new Float64Array(week).fill(1)
  private levelCount = 0
  private levelExposure = 0
  /** The same of the last months. */
  private lastingCount = 0
  private lastingExposure = 0
  /** Of each length of window: squares beyond what is expected, what was expected, and how many windows. */
  private readonly scatter = windows.map(() => ({ squares: 0, expected: 0, windows: 0 }))
  private readonly dispersions = windows.map(() => 2 * priorDispersion)
  private readonly shareSums: Float64Array
  private readonly spiking: Uint8Array
  /** The level at the end of each day. */
  private readonly dayLevels: number[] = []
  /** The last hour at which a new level was taken. */
  private taken = 0

  constructor(
    private readonly counts: readonly number[],
    private readonly weekHours: readonly number[],
    private readonly unknown: readonly boolean[] = [],
  ) {
    this.expected = new Float64Array(counts.length)
    this.learnt = new Float64Array(counts.length)
    this.countSums = new Float64Array(counts.length + 1)
    this.expectedSums = new Float64Array(counts.length + 1)
    this.shareSums = new Float64Array(counts.length + 1)
    this.spiking = new Uint8Array(counts.length)
  }

  expect(hour: number): void {
    if (hour % week === 0) this.shares = this.weekShares(hour)
    // Nothing is expected of an hour that was not collected, so that windows are made of the others.
    const share = this.unknown[hour] ? 0 : this.shares[this.weekHours[hour]!]!
    this.expected[hour] = share * this.level()
    this.shareSums[hour + 1] = this.shareSums[hour]! + share
    this.countSums[hour + 1] = this.countSums[hour]! + this.counts[hour]!
    this.expectedSums[hour + 1] = this.expectedSums[hour]! + this.expected[hour]!
  }

  /** Counts and expectations from one hour up to another, not included. */
  between(from: number, to: number): { count: number; expected: number } {
    return {
      count: this.countSums[to]! - this.countSums[from]!,
      expected: this.expectedSums[to]! - this.expectedSums[from]!,
    }
  }

  private level(): number {
    const { lasting, exposure } = this.lastingPart()
    return (this.levelCount + lasting + 0.5) / (this.levelExposure + exposure + 1)
  }

  private lastingPart(): { lasting: number; exposure: number } {
    const lasting = Math.min(lastingEntries, this.lastingCount)
    return { lasting, exposure: lasting > 0 ? (lasting / this.lastingCount) * this.lastingExposure : 0 }
  }

  /** Shape of the negative binomial of a window with this mean. */
  shape(mean: number, length: number): number {
    const own = this.levelCount + this.lastingPart().lasting + 0.5
    const beyond = Math.max(0, this.dispersions[length]! - 1)
    return Math.max(1e-4, 1 / (1 / own + beyond / Math.max(mean, 1e-9)), mean * 1e-9)
  }

  /** Variance over mean of windows: what they showed, and somewhat more as long as they are few; no less than shorter ones have. */
  private learnDispersions(): void {
    let most = priorDispersion
    let worth = priorWindows
    this.scatter.forEach(({ squares, expected, windows: known }, i) => {
      const prior = known > 0 ? (expected / known) * worth : 1
      most = Math.max(i ? most : 1, (squares + prior * most) / (expected + prior))
      worth = borrowedWindows
      this.dispersions[i] = most * (1 + 2 * Math.sqrt(2 / (known + 3 * borrowedWindows)))
    })
  }

  learn(hour: number, inSpike: boolean): void {
    const expected = this.expected[hour]!
    const value = inSpike ? Math.min(this.counts[hour]!, expected) : this.counts[hour]!
    this.learnt[hour] = value
    if (!this.unknown[hour]) this.learnLevel(value, this.shares[this.weekHours[hour]!]!)
    if (hour - decidedAfter >= week) this.learnScatter(hour - decidedAfter)
  }

  private learnLevel(value: number, share: number): void {
    this.levelCount = this.levelCount * forget + value
    this.levelExposure = this.levelExposure * forget + share
    this.lastingCount = this.lastingCount * forgetLasting + value
    this.lastingExposure = this.lastingExposure * forgetLasting + share
  }

  /** Hours that belong to a spike, the end not included. */
  mark(from: number, to: number): void {
    this.spiking.fill(1, from, to)
  }

  private learnScatter(hour: number): void {
    for (const [i, length] of windows.entries()) {
      if ((hour + 1) % length !== 0) continue
      const from = hour + 1 - length
      // What is a window in part only does not scatter as a whole one does.
      if (this.unknown.slice(from, hour + 1).includes(true)) continue
      const { count, expected } = this.between(from, hour + 1)
      const scatter = this.scatter[i]!
      const fade = 2 ** (-length / dispersionHalfLife)
      const whole = this.spiking.subarray(from, hour + 1).includes(1) ? 1 : (bunchSize / farthest) ** 2
      const most = farthest ** 2 * Math.max(whole, expected * this.dispersions[i]!)
      scatter.squares = scatter.squares * fade + Math.min((count - expected) ** 2, most)
      scatter.expected = scatter.expected * fade + expected
      scatter.windows = scatter.windows * fade + 1
    }
    this.learnDispersions()
  }

  /** Most of the last days lay above what was usual before them, and all together well above it. */
  isNewLevel(hour: number): boolean {
    this.dayLevels.push(this.level())
    const before = this.dayLevels[this.dayLevels.length - 1 - newLevelDays]
    if (before === undefined || hour + 1 < learningHours + newLevelDays * day) return false
    if (hour - this.taken < newLevelDays * day) return false
    const days = Array.from({ length: newLevelDays }, (_, i) => {
      const to = hour + 1 - i * day
      const usual = before * (this.shareSums[to]! - this.shareSums[to - day]!)
      return { usual, beyond: this.between(to - day, to).count - usual }
    }).sort((a, b) => a.beyond - b.beyond)
    // Without the greatest: a burst of a day or two is no level.
    const kept = days.slice(0, newLevelOn)
    const [beyond, usual] = [
      kept.reduce((sum, d) => sum + d.beyond, 0),
      kept.reduce((sum, d) => sum + d.usual, 0),
    ]
    if (days[newLevelDays - newLevelOn]!.beyond <= 0 || beyond <= (newLevelRatio - 1) * usual) return false
    // What dies away after a spike is none either: the last days lie above, too, and all of it more than chance would have it.
    const latest = this.between(hour + 1 - latestDays * day, hour + 1).count
    const usually = before * (this.shareSums[hour + 1]! - this.shareSums[hour + 1 - latestDays * day]!)
    // The scatter of these days is that of two levels; bunches are taken to be as large as they commonly are.
    const shape = 1 / (1 / (this.levelCount + 0.5) + (commonDispersion - 1) / Math.max(usual, 1e-9))
    return (
      latest > latestRatio * usually &&
      gammaPoissonTail(Math.floor(beyond + usual), usual, shape) < newLevelChance
    )
  }

  /** What the last days brought is the level from now on. */
  takeLevel(hour: number): void {
    this.taken = hour
    this.levelCount = 0
    this.levelExposure = 0
    // Of the months before nothing is left.
    this.lastingCount = 0
    this.lastingExposure = 0
    for (let at = hour + 1 - newLevelDays * day; at <= hour; at++) {
      if (this.unknown[at]) continue
      this.learnt[at] = this.counts[at]!
      this.levelCount = this.levelCount * forget + this.counts[at]!
      this.levelExposure = this.levelExposure * forget + this.shares[this.weekHours[at]!]!
    }
    this.dayLevels[this.dayLevels.length - 1] = this.level()
  }

  /** What each hour of the week brought; of one that was not always collected, as if it had been. */
  private weekSums(start: number, end: number): Float64Array {
    const sums = new Float64Array(week)
    const known = new Float64Array(week)
    for (let at = start; at < end; at++) {
      if (this.unknown[at]) continue
      sums[this.weekHours[at]!]! += this.learnt[at]!
      known[this.weekHours[at]!]! += 1
    }
    const most = (end - start) / week
    return this.unknown.length ? sums.map((sum, h) => (known[h] ? (sum * most) / known[h]! : 0)) : sums
  }

  /** Share of each hour of the week, mean 1. */
  private weekShares(hour: number): Float64Array {
    const start = Math.max(0, hour - patternWeeks * week)
    const weeks = (hour - start) / week
    const shares = new Float64Array(week).fill(1)
    if (weeks < 1) return shares
    const sums = this.weekSums(start, hour)
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
