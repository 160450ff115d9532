import { definePart } from '../part.ts'
import { listPhrase, parseIds, printList } from './shared.ts'

/** Ids of places. */
export const places = definePart({
  field: 'places',
  name: 'place',
  blank: [] as number[],
  print: printList,
  parse: parseIds,
  phrase: listPhrase,
  matches: (ids) => (entry) => entry.place !== null && ids.includes(entry.place),
  sql: (ids, { bind }) => `e.place_id = ANY(${bind(ids)}::int[])`,
  rollup: (ids, { bind }) => `p.place_id = ANY(${bind(ids)}::int[])`,
})
