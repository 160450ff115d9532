import { definePart } from '../part.ts'
import { personStandings, type PersonStanding } from '../values.ts'
import { listPhrase, parseList, printList } from './shared.ts'

/** What people are to the brand. */
export const standings = definePart({
  field: 'standings',
  of: 'person',
  name: 'knownAs',
  blank: [] as PersonStanding[],
  print: printList,
  parse: (text) => parseList<PersonStanding>(text, (value) => personStandings.some((each) => each === value)),
  phrase: listPhrase,
  matches: (wanted) => (_entry, subject) =>
    !!subject?.person?.standing && wanted.includes(subject.person.standing),
  sql: (wanted, { bind }) => `p.standing = ANY(${bind(wanted)}::text[])`,
})
