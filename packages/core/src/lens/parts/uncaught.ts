import { definePart } from '../part.ts'

/** Only what none of the lenses shows that the reader keeps. */
export const uncaught = definePart({
  field: 'uncaught',
  name: 'caught',
  blank: false,
  print: (value) => (value ? 'none' : 'any'),
  parse: (text) => (text === 'none' ? true : text === 'any' ? false : undefined),
  phrase: (value) => ({ message: value ? 'none' : 'any', values: [], narrows: value }),
  matches:
    (_, { keptLenses = [] }) =>
    (entry) =>
      !keptLenses.some(({ matches }) => matches(entry)),
  sql: (_, query) =>
    (query.context.keptLenses ?? []).map(({ sql }) => `NOT ${sql(query)}`).join(' AND ') || 'true',
  needsThread: true,
})
