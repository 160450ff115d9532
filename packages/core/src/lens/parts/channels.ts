import { definePart } from '../part.ts'
import { listPhrase, parseList, printList } from './shared.ts'

export const channels = definePart({
  field: 'channels',
  name: 'channel',
  blank: [] as string[],
  print: printList,
  parse: (text) => parseList<string>(text, (each) => /^[a-z]{2,20}$/.test(each)),
  phrase: listPhrase,
  matches: (values) => (entry) => values.includes(entry.channel),
  sql: (values, { bind }) => `e.channel = ANY(${bind(values)}::text[])`,
  rollup: (values, { bind }) => `p.channel = ANY(${bind(values)}::text[])`,
})
