/** When an alert is to tell. */
export type AlertCondition =
  /** Any entry at all. */
  | { kind: 'any' }
  /** An entry whose reach is at least this. */
  | { kind: 'reach'; above: number }
  /** More in so many hours than the stretches of the same length before lead one to expect. */
  | { kind: 'more'; hours: number }
  /** A spike, by the hour of the week. */
  | { kind: 'spike' }
  /** Net sentiment of so many days under this, -1 to 1. */
  | { kind: 'net'; below: number; days: number }

/**
 * Conditions that tell of single entries; the others begin and end.
 *
 * @example firesOnEntries({ kind: 'reach', above: 1000 }) // true
 */
export const firesOnEntries = (
  condition: AlertCondition,
): condition is Extract<AlertCondition, { kind: 'any' | 'reach' }> =>
  condition.kind === 'any' || condition.kind === 'reach'

export const alertLimits = {
  hours: [1, 168],
  days: [1, 90],
  quietMinutes: [0, 10_080],
  /** More begins a day than this, on average over the trial, and nobody listens any more. */
  firingsADay: 10,
} as const
