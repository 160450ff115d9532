export { simulateWeek, type WeekForecast, type WeekInputs } from './simulateWeek.ts'
export { shiftsTried, tryShifts, withShift, type Shift, type ShiftTried } from './shifts.ts'
export { presenceOf, usualShare, weekRates } from './rates.ts'
