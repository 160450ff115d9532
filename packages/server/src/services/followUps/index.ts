export { calendarAddress, calendarOf, calendarOff, makeCalendar } from './calendar.ts'
export {
  addFollowUp,
  changeFollowUp,
  finishFollowUp,
  followUpsOf,
  listFollowUps,
  removeFollowUp,
  reopenFollowUp,
} from './followUps.ts'
