export {
  addBusinessMinutes,
  businessMinutesBetween,
  isOpenAt,
  type BusinessHours,
  type DayHours,
} from './businessHours.ts'
export { hoursProblem, type HoursProblem } from './checkHours.ts'
