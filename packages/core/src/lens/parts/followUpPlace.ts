import { definePart } from '../part.ts'
import { listPhrase, parseIds, printList } from './shared.ts'

/** Ids of the places that the threads of follow-ups are about. */
export const followUpPlaces = definePart({
  field: 'followUpPlaces',
  of: 'followUp',
  name: 'place',
  blank: [] as number[],
  print: printList,
  parse: parseIds,
  phrase: listPhrase,
  matches: (ids) => (_entry, subject) => {
    const { place } = subject!.followUp!
    return place !== null && ids.includes(place)
  },
  sql: (ids, { bind }) => `t.place_id = ANY(${bind(ids)}::int[])`,
})
