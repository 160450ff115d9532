import {
  bunchingOfRows,
  findSpikes,
  netSentiment,
  usualChance,
  usualOf,
  type Spike,
  type Usual,
} from '../measures/index.ts'
import type { AlertCondition } from './condition.ts'
import { totalOfHour, type AlertSeries } from './series.ts'

export interface AlertReading {
  on: boolean
  /** Entries that the condition looks at now. */
  count: number
  /** What was to be expected of them: the top of the usual range, or a spike's expected count. */
  expected: number | null
  net: { net: number; low: number; high: number; n: number } | null
}

/** Fewer entries than this say nothing of a mood, or of a volume. */
const moodMinimum = 10
const volumeMinimum = 5
/** Net sentiment has to come back so far above the mark before the alert ends. */
const relief = 0.05
/** Weeks back, each at the same hours, that say what is usual. */
export const usualWeeks = 8
/** How rare a volume has to be by chance: hour after hour is looked at, so that there are many chances; of short stretches most. */
const moreChance = (length: number) => 0.002 * Math.min(1, length / 6)
/** It is over when it is as common as this. */
const overChance = 0.1
const weekHours = 168
/** So much of a stretch may be missing, and it still says what is usual. */
const missedMost = 0.1

type Read = (hour: number, open: boolean) => AlertReading

const quiet: AlertReading = { on: false, count: 0, expected: null, net: null }

/**
 * A condition made ready to be read at any hour of a series, using that hour and those before it only.
 *
 * @returns a function of the index of the hour, and of whether the alert is open
 */
export function alertReader(condition: AlertCondition, series: AlertSeries): Read {
  const counts = series.hours.map(totalOfHour)
  switch (condition.kind) {
    case 'spike':
      return spikeReader(findSpikes(counts, { weekHours: series.weekHours, unknown: series.unknown }))
    case 'more':
      return moreReader(runningSums(counts), series, condition.hours)
    case 'net':
      return netReader(series, condition)
    default:
      return () => quiet
  }
}

function spikeReader(spikes: readonly Spike[]): Read {
  return (hour) => {
    const spike = spikes.find((s) => s.found <= hour && hour < s.end + spikeRest)
    if (!spike) return quiet
    return { on: true, count: spike.count, expected: spike.expected, net: null }
  }
}
/** Hours after a spike's last until it counts as over: as long as two of them are joined. */
const spikeRest = 8

/** Like is compared with like: the same hours of the weeks before, by the clock on the wall. */
function moreReader(
  sums: Float64Array,
  { weekHours: clock, unknown = [] }: AlertSeries,
  length: number,
): Read {
  const missed = runningSums(clock.map((_, hour) => Number(unknown[hour] ?? false)))
  const step = weekHours * Math.ceil(length / weekHours)
  const slots = Math.max(1, Math.floor(weekHours / length))
  /** The hour that shows the same on the wall, so many steps back. */
  const back = (hour: number, k: number) => {
    const at = hour - k * step
    if (at < 0) return -1
    const off = ((clock[hour]! - clock[at]! + weekHours / 2 + weekHours) % weekHours) - weekHours / 2
    return at + off
  }
  const between = (values: Float64Array, hour: number) => values[hour + 1]! - values[hour + 1 - length]!
  /** Entries of the stretch that ends with an hour; null where it is not known whole, or too much of it was not collected. */
  const ended = (hour: number) =>
    hour + 1 < length || between(missed, hour) > missedMost * length ? null : between(sums, hour)
  const weeksOf = (hour: number) =>
    Array.from({ length: usualWeeks }, (_, i) => ended(back(hour, usualWeeks - i))).filter((n) => n !== null)
  return (hour, open) => {
    const count = hour + 1 < length ? sums[hour + 1]! : between(sums, hour)
    const before = weeksOf(hour)
    const few = usualOf(before, usualWeeks)
    // What was to be expected is told only when it begins or ends.
    const expected = (usual: Usual | null, told: boolean) =>
      told && usual ? usual.range(usualChance).high : null
    if (!few || count < volumeMinimum || count <= few.mean)
      return { ...quiet, count, expected: expected(few, open) }
    // How stretches of this length scatter from week to week is much the same at any hour: all hours tell it.
    const scatter = bunchingOfRows(Array.from({ length: slots }, (_, slot) => weeksOf(hour - slot * length)))
    const usual = usualOf(before, usualWeeks, scatter)!
    const on = usual.chance(count) < (open ? overChance : moreChance(length))
    return { on, count, expected: expected(usual, on || open), net: null }
  }
}

function netReader({ hours }: AlertSeries, { below, days }: Extract<AlertCondition, { kind: 'net' }>): Read {
  const sums = {
    positive: runningSums(hours.map((h) => h.positive)),
    neutral: runningSums(hours.map((h) => h.neutral)),
    negative: runningSums(hours.map((h) => h.negative)),
  }
  return (hour, open) => {
    const end = hour + 1
    const from = Math.max(0, end - days * 24)
    const sum = (mood: keyof typeof sums) => (sums[mood][end] ?? 0) - (sums[mood][from] ?? 0)
    const [positive, neutral, negative] = [sum('positive'), sum('neutral'), sum('negative')]
    const count = positive + neutral + negative
    // The interval takes its time, and only a mood below the mark asks for it.
    if (count < moodMinimum || (!open && positive - negative >= below * count)) return { ...quiet, count }
    const net = netSentiment(positive, neutral, negative)!
    // It begins when the mood is surely below the mark: an estimate that is looked at every hour strays below it in the end.
    return { on: open ? net.net < below + relief : net.high < below, count, expected: null, net }
  }
}

/** sums[i] is the sum of the first i values. */
function runningSums(values: readonly number[]): Float64Array {
  const sums = new Float64Array(values.length + 1)
  values.forEach((value, i) => (sums[i + 1] = sums[i]! + value))
  return sums
}
