import { definePart } from '../part.ts'

/** Only what somebody kept. */
export const kept = definePart({
  field: 'kept',
  name: 'kept',
  blank: false,
  print: (value) => (value ? 'yes' : 'all'),
  parse: (text) => (text === 'yes' ? true : text === 'all' ? false : undefined),
  phrase: (value) => ({ message: value ? 'one' : 'all', values: [], narrows: value }),
  matches: () => (entry) => entry.kept,
  sql: () => 'EXISTS (SELECT 1 FROM kept_entries k WHERE k.entry_id = e.id)',
})
