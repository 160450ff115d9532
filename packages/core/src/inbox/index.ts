export { defaultDuePolicy, dueAt, type DueEntry, type DuePolicy, type DueRule } from './dueAt.ts'
export {
  minutesPerPoint,
  pressingAt,
  standingParts,
  urgency,
  type UrgencyEntry,
  type UrgencyPart,
  type UrgencyPartName,
} from './urgency.ts'
export {
  arrivalEvent,
  historyDays,
  transition,
  type Arrival,
  type ThreadEvent,
  type ThreadPosition,
  type Transition,
} from './threadState.ts'
export { wantedOf, type Waiting, type Wanted } from './wanted.ts'
export { isSaidAnew } from './saidAnew.ts'
export { spamPrint, spamReason, type SpamMark, type SpamReason, type SpamSigns } from './spam.ts'
export { shareOut, type Taker } from './shareOut.ts'
export type { SimHash } from './simHash.ts'
