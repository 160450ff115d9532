export { handleWords, meetingKeys, nameKey, nameWords, titles, type NamedPerson } from './names.ts'
export {
  closestNames,
  likeNames,
  likenessOf,
  namesAlike,
  type Comparable,
  type Likeness,
  type LikenessReason,
  type NamesReason,
} from './likeness.ts'
export { findingWords, phoneOf, readEmail, readPhone } from './ways.ts'
export { joinsBetween, shownAs, type Join } from './groups.ts'
export {
  belongingOf,
  belongings,
  type Belonging,
  type BelongingReason,
  type ComparableThread,
  type ComparableVisit,
  type VisitState,
} from './visits.ts'
