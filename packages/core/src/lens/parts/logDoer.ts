import { definePart } from '../part.ts'
import { parseWho, whoPhrase } from './shared.ts'

/** Who did what stands in the log: anybody, me, nobody of the team (a network, a rule, the program itself), or a colleague by id. */
export const logDoer = definePart({
  field: 'logDoer',
  of: 'logLine',
  name: 'doer',
  blank: 'anybody' as 'anybody' | 'me' | 'itself' | number,
  print: String,
  parse: (text) => parseWho(text, ['anybody', 'me', 'itself'] as const),
  phrase: whoPhrase,
  matches:
    (value, { me }) =>
    (_entry, subject) => {
      const { by } = subject!.logLine!
      return value === 'itself' ? by === 'itself' : by === (value === 'me' ? me : value)
    },
  sql: (value, { bind, context }) =>
    value === 'itself'
      ? `v.actor <> 'colleague'`
      : `v.actor = 'colleague' AND v.colleague_id = ${bind(value === 'me' ? context.me : value)}::int`,
})
