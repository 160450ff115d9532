import { aspect } from './aspect.ts'
import { channels } from './channels.ts'
import { doubt } from './doubt.ts'
import { followUpKind } from './followUpKind.ts'
import { followUpOwner } from './followUpOwner.ts'
import { followUpPlaces } from './followUpPlace.ts'
import { followUpState } from './followUpState.ts'
import { givenTo } from './givenTo.ts'
import { group } from './group.ts'
import { kept } from './kept.ts'
import { kinds } from './kinds.ts'
import { languages } from './languages.ts'
import { order } from './order.ts'
import { logDoer } from './logDoer.ts'
import { logSubject } from './logSubject.ts'
import { named } from './named.ts'
import { origins } from './origins.ts'
import { peopleOrder } from './peopleOrder.ts'
import { personTags } from './personTags.ts'
import { phrase } from './phrase.ts'
import { places } from './places.ts'
import { priority } from './priority.ts'
import { range } from './range.ts'
import { sentiments } from './sentiments.ts'
import { spam } from './spam.ts'
import { standings } from './standings.ts'
import { state } from './state.ts'
import { story } from './story.ts'
import { tags } from './tags.ts'
import { uncaught } from './uncaught.ts'
import { visited } from './visited.ts'
import { voice } from './voice.ts'
import { watch } from './watch.ts'
import { weekHour } from './weekHour.ts'
import { wishes } from './wishes.ts'
import { words } from './words.ts'

/** The parts of the lens over threads and entries, in the order in which their sentence tells them. */
export const entryParts = [
  state,
  kinds,
  origins,
  channels,
  places,
  sentiments,
  wishes,
  doubt,
  givenTo,
  priority,
  spam,
  watch,
  group,
  languages,
  voice,
  story,
  phrase,
  aspect,
  weekHour,
  tags,
  kept,
  uncaught,
  words,
  range,
  order,
] as const

/** The parts of the lens over people: who they are, and what they said. */
export const peopleParts = [
  standings,
  named,
  personTags,
  visited,
  channels,
  words,
  places,
  sentiments,
  range,
  peopleOrder,
] as const

/** The parts of the lens over follow-ups. */
export const followUpParts = [followUpState, followUpKind, followUpOwner, followUpPlaces] as const

/** The parts of the lens over the log. */
export const logParts = [logDoer, logSubject, range] as const
