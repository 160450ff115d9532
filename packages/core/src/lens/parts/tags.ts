import { definePart } from '../part.ts'
import { listPhrase, parseIds, printList } from './shared.ts'

/** Ids of tags, of which the thread bears one at least. */
export const tags = definePart({
  field: 'tags',
  name: 'tag',
  blank: [] as number[],
  print: printList,
  parse: parseIds,
  phrase: listPhrase,
  matches: (ids) => (entry) => ids.some((tag) => entry.tags.includes(tag)),
  sql: (ids, { bind }) =>
    `EXISTS (SELECT 1 FROM thread_tags g WHERE g.thread_id = e.thread_id AND g.tag_id = ANY(${bind(ids)}::int[]))`,
})
