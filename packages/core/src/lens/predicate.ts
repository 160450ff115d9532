import type { LensContext, LensEntry } from './entry.ts'
import { askingParts, type Lens } from './lens.ts'

/** The lens as a test on entries; made once, applied to many. The SQL of the server chooses the same entries. */
export function lensPredicate(lens: Lens, context: LensContext): (entry: LensEntry) => boolean {
  const tests = askingParts(lens).map(({ part, value }) => part.matches(value, context))
  return (entry) => (lens.unit === 'entries' || entry.lead) && tests.every((test) => test(entry))
}
