import type { AlertReading } from './reading.ts'

export interface AlertState {
  open: boolean
  /** Epoch milliseconds: when it last told of a beginning; null when never. */
  firedAt: number | null
}

export const freshAlert: AlertState = Object.freeze({ open: false, firedAt: null })

export type Tell = 'begin' | 'end' | null

const rested = ({ firedAt }: AlertState, now: number, quietMinutes: number) =>
  firedAt === null || now - firedAt >= quietMinutes * 60_000

/** What a reading makes of an alert that begins and ends: one event is told once, and its end; within the quiet time no other begins. */
export function stepAlert(
  state: AlertState,
  { on }: Pick<AlertReading, 'on'>,
  { now, quietMinutes }: { now: number; quietMinutes: number },
): { state: AlertState; tell: Tell } {
  if (state.open) return on ? { state, tell: null } : { state: { ...state, open: false }, tell: 'end' }
  if (!on || !rested(state, now, quietMinutes)) return { state, tell: null }
  return { state: { ...state, open: true, firedAt: now }, tell: 'begin' }
}

/**
 * The same for an alert on single entries: those that came within the quiet time are told together after it.
 *
 * @param fresh entries that were not told yet
 */
export function stepEntries(
  state: AlertState,
  fresh: readonly { id: number }[],
  { now, quietMinutes }: { now: number; quietMinutes: number },
): { state: AlertState; told: number[] } {
  if (!fresh.length || !rested(state, now, quietMinutes)) return { state, told: [] }
  return { state: { ...state, firedAt: now }, told: fresh.map(({ id }) => id) }
}
