import { always, definePart } from '../part.ts'
import { visitedValues, type Visited } from '../values.ts'

/**
 * Whether somebody had a visit at the lens's time and places; "any" leaves visits aside. With "yes", what is asked of entries is
 * asked besides, and whoever visited need not have said anything. It looks at more than one part, so that `peoplePredicate` and
 * the question to the database ask it themselves.
 */
export const visited = definePart({
  field: 'visited',
  of: 'person',
  name: 'visited',
  blank: 'any' as Visited,
  print: (value) => value,
  parse: (text) => visitedValues.find((each) => each === text),
  phrase: (value) => ({ message: value, values: [], narrows: value !== 'any' }),
  matches: () => always,
  sql: () => null,
})
