import { findSpikes, netSentiment, usualRange, type Spike } from '../measures/index.ts'
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
/** Stretches of the same length that say what is usual: two weeks of days, fewer of longer ones. */
const stretches = 14

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
      return spikeReader(findSpikes(counts, { weekHour: series.weekHour }))
    case 'more':
      return moreReader(runningSums(counts), condition.hours)
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

function moreReader(sums: Float64Array, length: number): Read {
  const between = (from: number, to: number) => (sums[Math.max(0, to)] ?? 0) - (sums[Math.max(0, from)] ?? 0)
  return (hour, open) => {
    const end = hour + 1
    const count = between(end - length, end)
    const before: number[] = []
    for (let k = stretches; k >= 1; k--) {
      const to = end - k * length
      if (to - length >= 0) before.push(between(to - length, to))
    }
    const range = usualRange(before, stretches)
    if (!range) return { ...quiet, count }
    // A count looked at every hour has many chances to stray: the alert begins a spread beyond the usual range, and ends
    // only well within it, so that it does not flicker.
    const spread = (range.high - range.median) / 2
    const mark = range.median + (open ? 1 : 3) * spread
    return { on: count > mark && count >= volumeMinimum, count, expected: range.high, net: null }
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
    const net = netSentiment(sum('positive'), sum('neutral'), sum('negative'))
    const count = net?.n ?? 0
    if (!net || net.n < moodMinimum) return { ...quiet, count, net }
    return { on: net.net < below + (open ? relief : 0), count, expected: null, net }
  }
}

/** sums[i] is the sum of the first i values. */
function runningSums(values: readonly number[]): Float64Array {
  const sums = new Float64Array(values.length + 1)
  values.forEach((value, i) => (sums[i + 1] = sums[i]! + value))
  return sums
}
