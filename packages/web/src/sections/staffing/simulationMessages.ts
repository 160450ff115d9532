import type { Shift, ShiftTried, WeekForecast, WeekInputs } from '@murrabel/core/staffing'

/** What the page asks of the simulation. @param arrivals times the arrivals that are usual */
export type Asked = { id: number; inputs: WeekInputs; arrivals: number } & (
  { kind: 'forecast'; shift: Shift | null } | { kind: 'shifts'; people: 1 | -1; clocks: readonly number[] }
)

export type Told = { id: number } & (
  | { kind: 'forecast'; forecast: WeekForecast }
  | { kind: 'progress'; done: number; of: number }
  | { kind: 'shifts'; tried: ShiftTried[] }
)
