import { definePart } from '../part.ts'
import { isLargeId, onePhrase, parseId, printId } from './shared.ts'

/** Id of an account: what this voice said. */
export const voice = definePart({
  field: 'voice',
  name: 'voice',
  blank: null as number | null,
  print: printId,
  parse: (text) => parseId(text, isLargeId),
  phrase: onePhrase,
  matches: (id) => (entry) => entry.voice === id,
  sql: (id, { bind }) => `e.account_id = ${bind(id)}::bigint`,
})
