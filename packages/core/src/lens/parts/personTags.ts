import { definePart } from '../part.ts'
import { listPhrase, parseIds, printList } from './shared.ts'

/** Ids of tags of people; one of them is enough, of whomever of the joined it is. */
export const personTags = definePart({
  field: 'personTags',
  of: 'person',
  name: 'taggedAs',
  blank: [] as number[],
  print: printList,
  parse: parseIds,
  phrase: listPhrase,
  matches: (wanted) => (_entry, subject) => (subject?.person?.tags ?? []).some((tag) => wanted.includes(tag)),
  sql: (wanted, { bind }) =>
    `p.shown_as IN (SELECT m.shown_as FROM person_tags x JOIN people m ON m.id = x.person_id WHERE x.tag_id = ANY(${bind(wanted)}::int[]))`,
})
