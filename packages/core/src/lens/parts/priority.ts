import { definePart } from '../part.ts'
import { priorityValues, type PriorityAsked } from '../values.ts'

/** How high somebody has put the thread: at least raised, or highest. */
export const priority = definePart({
  field: 'priority',
  name: 'priority',
  blank: 'any' as PriorityAsked,
  print: String,
  parse: (text) => priorityValues.find((each) => each === text),
  phrase: (value) => ({ message: value, values: [], narrows: value !== 'any' }),
  matches(value) {
    const least = leastOf(value)
    return (entry) => entry.priority >= least
  },
  sql: (value) => `t.priority >= ${leastOf(value)}`,
  needsThread: true,
})

const leastOf = (value: PriorityAsked): number => (value === 'highest' ? 2 : value === 'raised' ? 1 : 0)
