import type { LensContext, LensEntry, LensFollowUp, LensLogLine, LensPerson } from './entry.ts'
import { askingParts, type Lens } from './lens.ts'
import { instantsOf } from './range.ts'

/** The tests of the parts that ask about one kind of thing. */
const testsOf = (lens: Lens, context: LensContext, of: 'person' | 'followUp' | 'logLine' | undefined) =>
  askingParts(lens)
    .filter(({ part }) => part.of === of)
    .map(({ part, value }) => part.matches(value, context))

/** The lens as a test on entries; made once, applied to many. The SQL of the server chooses the same entries. */
export function lensPredicate(lens: Lens, context: LensContext): (entry: LensEntry) => boolean {
  const tests = testsOf(lens, context, undefined)
  return (entry) => (lens.unit !== 'threads' || entry.lead) && tests.every((test) => test(entry))
}

/** Parts that ask about visits as well as about what was said. */
const sharedWithVisits: readonly string[] = ['range', 'places', 'peopleOrder']

/** Whether a lens over people asks for something that only an entry can answer. */
export const asksOfEntries = (lens: Lens): boolean =>
  askingParts(lens).some(({ part }) => part.of === undefined && !sharedWithVisits.includes(part.field))

/** A lens over people as a test on them: somebody who is asked for, and said something that is, or visited. */
export function peoplePredicate(lens: Lens, context: LensContext): (person: LensPerson) => boolean {
  const said = lensPredicate(lens, context)
  const tests = testsOf(lens, context, 'person')
  const window = instantsOf(lens.range, context)
  const visit = ({ at, place }: LensPerson['visits'][number]) =>
    (!window || (at >= window.from && at < window.to)) &&
    (!lens.places.length || (place !== null && lens.places.includes(place)))
  const needsWords = lens.visited !== 'yes' || asksOfEntries(lens)
  return (person) =>
    (!needsWords || person.said.some(said)) &&
    (lens.visited === 'any' || person.visits.some(visit) === (lens.visited === 'yes')) &&
    tests.every((test) => test(person.said[0]!, { person }))
}

/** A lens over follow-ups as a test on them. */
export function followUpPredicate(lens: Lens, context: LensContext): (followUp: LensFollowUp) => boolean {
  const tests = testsOf(lens, context, 'followUp')
  // None of them looks at what was said.
  const nothing = null as unknown as LensEntry
  return (followUp) => tests.every((test) => test(nothing, { followUp }))
}

/** A lens over the log as a test on its lines. */
export function logPredicate(lens: Lens, context: LensContext): (line: LensLogLine) => boolean {
  const tests = testsOf(lens, context, 'logLine')
  const window = instantsOf(lens.range, context)
  const nothing = null as unknown as LensEntry
  return (logLine) =>
    (!window || (logLine.at >= window.from && logLine.at < window.to)) &&
    tests.every((test) => test(nothing, { logLine }))
}
