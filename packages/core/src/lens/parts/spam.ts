import { definePart } from '../part.ts'
import { spamValues, type SpamAsked } from '../values.ts'

/** What was put aside as spam, by a person or by what they taught: only that, or everything else. */
export const spam = definePart({
  field: 'spam',
  name: 'spam',
  blank: 'any' as SpamAsked,
  print: String,
  parse: (text) => spamValues.find((each) => each === text),
  phrase: (value) => ({ message: value, values: [], narrows: value !== 'any' }),
  matches: (value) => (entry) => entry.spam === (value === 'only'),
  sql: (value) => (value === 'only' ? 't.spam_at IS NOT NULL' : 't.spam_at IS NULL'),
  needsThread: true,
})
