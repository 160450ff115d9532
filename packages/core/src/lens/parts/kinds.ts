import { definePart } from '../part.ts'
import { lensKinds, type EntryKind } from '../values.ts'
import { listPhrase, parseList, printList } from './shared.ts'

export const kinds = definePart({
  field: 'kinds',
  name: 'kind',
  blank: [] as EntryKind[],
  print: printList,
  parse: (text) => parseList<EntryKind>(text, (each) => lensKinds.includes(each as EntryKind)),
  phrase: listPhrase,
  matches: (values) => (entry) => values.includes(entry.kind),
  sql: (values, { bind }) => `e.kind = ANY(${bind(values)}::text[])`,
  rollup: (values, { bind, of }) => (of === 'entries' ? `r.kind = ANY(${bind(values)}::text[])` : null),
})
