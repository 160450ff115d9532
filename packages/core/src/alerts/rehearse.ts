import { firesOnEntries, type AlertCondition } from './condition.ts'
import { alertReader, type AlertReading } from './reading.ts'
import { hourMs, type AlertSeries } from './series.ts'
import { freshAlert, stepAlert, stepEntries } from './step.ts'

export interface Firing {
  kind: 'begin' | 'end'
  /** Epoch milliseconds. */
  at: number
  count: number
  expected: number | null
  net: AlertReading['net']
  /** Of an alert on single entries: which ones. */
  entries: number[]
}

/**
 * What an alert would have told in the past, by the same steps as it takes when it is on: each hour is looked at when it
 * ends, single entries when they come.
 *
 * @param from first instant that counts, epoch milliseconds; hours before it only teach what is usual
 */
export function rehearseAlert(
  condition: AlertCondition,
  series: AlertSeries,
  { from, quietMinutes }: { from: number; quietMinutes: number },
): Firing[] {
  return firesOnEntries(condition)
    ? rehearseEntries(condition, series, { from, quietMinutes })
    : rehearseHours(condition, series, { from, quietMinutes })
}

function rehearseHours(
  condition: AlertCondition,
  series: AlertSeries,
  { from, quietMinutes }: { from: number; quietMinutes: number },
): Firing[] {
  const read = alertReader(condition, series)
  const firings: Firing[] = []
  let state = freshAlert
  for (let hour = 0; hour < series.hours.length; hour++) {
    const at = series.start + (hour + 1) * hourMs
    if (at <= from) continue
    const reading = read(hour, state.open)
    const step = stepAlert(state, reading, { now: at, quietMinutes })
    state = step.state
    const { count, expected, net } = reading
    if (step.tell) firings.push({ kind: step.tell, at, count, expected, net, entries: [] })
  }
  return firings
}

function rehearseEntries(
  condition: Extract<AlertCondition, { kind: 'any' | 'reach' }>,
  { entries, start, hours }: AlertSeries,
  { from, quietMinutes }: { from: number; quietMinutes: number },
): Firing[] {
  const fits = entries.filter((e) => e.at >= from && (condition.kind === 'any' || e.reach >= condition.above))
  const firings: Firing[] = []
  const end = start + hours.length * hourMs
  let waiting: { id: number }[] = []
  let state = freshAlert
  const tell = (at: number) => {
    const step = stepEntries(state, waiting, { now: at, quietMinutes })
    if (!step.told.length) return
    state = step.state
    firings.push({
      kind: 'begin',
      at,
      count: step.told.length,
      expected: null,
      net: null,
      entries: step.told,
    })
    waiting = []
  }
  for (const entry of fits) {
    const free = state.firedAt === null ? -Infinity : state.firedAt + quietMinutes * 60_000
    if (waiting.length && free <= entry.at) tell(free)
    waiting.push(entry)
    tell(entry.at)
  }
  if (waiting.length && state.firedAt !== null) {
    const free = state.firedAt + quietMinutes * 60_000
    if (free <= end) tell(free)
  }
  return firings
}
