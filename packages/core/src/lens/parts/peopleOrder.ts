import { always, definePart } from '../part.ts'
import { peopleOrders, type PeopleOrder } from '../values.ts'

/** In which order people stand; it chooses nobody. */
export const peopleOrder = definePart({
  field: 'peopleOrder',
  name: 'order',
  blank: 'said' as PeopleOrder,
  print: (value) => value,
  parse: (text) => peopleOrders.find((each) => each === text),
  phrase: (value) => ({ message: value, values: [], narrows: false }),
  matches: () => always,
  sql: () => null,
})
