import { definePart } from '../part.ts'
import { isLargeId, onePhrase, parseId, printId } from './shared.ts'

/** Id of a story: the near copies of one text. */
export const story = definePart({
  field: 'story',
  name: 'story',
  blank: null as number | null,
  print: printId,
  parse: (text) => parseId(text, isLargeId),
  phrase: onePhrase,
  matches: (id) => (entry) => entry.story === id,
  sql: (id, { bind }) => `e.story_id = ${bind(id)}::bigint`,
})
