import { definePart } from '../part.ts'
import { lensStates, type ThreadState } from '../values.ts'

/** How its thread stands. */
export const state = definePart({
  field: 'state',
  name: 'state',
  blank: 'any' as ThreadState | 'any',
  print: (value) => value,
  parse: (text) => ([...lensStates, 'any'] as const).find((each) => each === text),
  phrase: (value) => ({ message: value, values: [], narrows: value !== 'any' }),
  matches: (value) => (entry) => entry.state === value,
  sql: (value, { bind }) => `t.state = ${bind(value)}`,
  needsThread: true,
})
