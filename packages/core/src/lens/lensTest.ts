import type { LensContext, LensTest } from './entry.ts'
import { askingParts, type Lens } from './lens.ts'
import { lensPredicate } from './predicate.ts'
import { instantsOf } from './range.ts'

/**
 * A lens over threads as one condition among others: as a test on entries, and in SQL over entries e and their threads t, where it
 * is true or false and never null.
 */
export function lensTest(lens: Lens, context: LensContext): LensTest {
  return {
    matches: lensPredicate(lens, context),
    sql({ bind }) {
      // Mentions keep the time of their entry.
      const query = { bind, context, at: 'e.at', window: instantsOf(lens.range, context) }
      const conditions = askingParts(lens).flatMap(({ part, value }) =>
        part.of ? [] : (part.sql(value, query) ?? []),
      )
      const all = ['e.lead', ...conditions].join(' AND ')
      return lens.watch === null
        ? `coalesce((${all}), false)`
        : `EXISTS (SELECT 1 FROM mentions m WHERE m.entry_id = e.id AND ${all})`
    },
  }
}
