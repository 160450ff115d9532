import { definePart } from '../part.ts'
import { parseWho, whoPhrase } from './shared.ts'

/** Whose follow-ups: anybody's, mine, nobody's, or those of a colleague by id. */
export const followUpOwner = definePart({
  field: 'followUpOwner',
  of: 'followUp',
  name: 'whose',
  blank: 'anybody' as 'anybody' | 'me' | 'nobody' | number,
  print: String,
  parse: (text) => parseWho(text, ['anybody', 'me', 'nobody'] as const),
  phrase: whoPhrase,
  matches:
    (value, { me }) =>
    (_entry, subject) => {
      const { givenTo } = subject!.followUp!
      return value === 'nobody' ? givenTo === null : givenTo === (value === 'me' ? me : value)
    },
  sql: (value, { bind, context }) =>
    value === 'nobody'
      ? 'f.given_to IS NULL'
      : `f.given_to = ${bind(value === 'me' ? context.me : value)}::int`,
})
