export {
  addBusinessMinutes,
  businessMinutesBetween,
  isOpenAt,
  isZone,
  type BusinessHours,
  type DayHours,
} from './businessHours.ts'
export { hoursProblem, type HoursProblem } from './checkHours.ts'
