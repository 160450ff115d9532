import type { LensContext, LensEntry, LensPerson } from './entry.ts'
import { askingParts, type Lens } from './lens.ts'

/** The lens as a test on entries; made once, applied to many. The SQL of the server chooses the same entries. */
export function lensPredicate(lens: Lens, context: LensContext): (entry: LensEntry) => boolean {
  const tests = askingParts(lens)
    .filter(({ part }) => !part.ofPerson)
    .map(({ part, value }) => part.matches(value, context))
  return (entry) => (lens.unit !== 'threads' || entry.lead) && tests.every((test) => test(entry))
}

/** A lens over people as a test on them: somebody who is asked for, and said something that is. */
export function peoplePredicate(lens: Lens, context: LensContext): (person: LensPerson) => boolean {
  const said = lensPredicate(lens, context)
  const tests = askingParts(lens)
    .filter(({ part }) => part.ofPerson)
    .map(({ part, value }) => part.matches(value, context))
  return (person) => person.said.some(said) && tests.every((test) => test(person.said[0]!, person))
}
