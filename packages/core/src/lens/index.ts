export {
  lensChannels,
  lensKinds,
  lensOrigins,
  lensLimits,
  lensOrders,
  lensSentiments,
  lensStates,
  lensWishes,
  followUpKinds,
  followUpStates,
  logSubjects,
  peopleOrders,
  personStandings,
  priorityValues,
  spamValues,
  visitedValues,
  type EntryKind,
  type EntryOrigin,
  type LensOrder,
  type FollowUpKind,
  type FollowUpState,
  type LogSubject,
  type PeopleOrder,
  type PersonStanding,
  type ThreadState,
  type Visited,
} from './values.ts'
export type { Sentiment } from '../sentiment/index.ts'
export { askingParts, blankLens, isBlankBut, lensParts, type Lens, type LensField } from './lens.ts'
export { asks, type ConditionSql, type LensPart, type LensPhrase } from './part.ts'
export { lensNames, parseLens, printLens, type LensProblem } from './address.ts'
export { parseRange, printRange } from './parts/range.ts'
export { weekHourOf, weekHoursOf, weekHourSql } from './parts/weekHour.ts'
export { instantsOf, type Instants, type LensRange } from './range.ts'
export { foundByPhrase, foundByWords, phraseWords, searchPlaces, searchWords } from './searchWords.ts'
export {
  asksOfEntries,
  followUpPredicate,
  lensPredicate,
  logPredicate,
  peoplePredicate,
} from './predicate.ts'
export { lensTest } from './lensTest.ts'
export type { LensContext, LensEntry, LensFollowUp, LensLogLine, LensPerson, LensTest } from './entry.ts'
export { lensPhrases } from './sentence.ts'
