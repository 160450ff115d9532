import { always, definePart } from '../part.ts'
import { lensOrders, type LensOrder } from '../values.ts'

/** In which order; it chooses nothing. */
export const order = definePart({
  field: 'order',
  name: 'order',
  blank: 'newest' as LensOrder,
  print: (value) => value,
  parse: (text) => lensOrders.find((each) => each === text),
  phrase: (value) => ({ message: value, values: [], narrows: false }),
  matches: () => always,
  sql: () => null,
  rollup: () => 'true',
})
