import { definePart } from '../part.ts'
import { lensKinds, type EntryKind, type EntryOrigin } from '../values.ts'
import { isToAnswer } from './origins.ts'
import { listPhrase, parseList, printList } from './shared.ts'

export const kinds = definePart({
  field: 'kinds',
  name: 'kind',
  blank: [] as EntryKind[],
  print: printList,
  parse: (text) => parseList<EntryKind>(text, (each) => lensKinds.includes(each as EntryKind)),
  phrase: (values, { origins }) =>
    values.length === 0 && isToAnswer(origins as EntryOrigin[])
      ? { message: 'owed', values: [], narrows: true }
      : listPhrase(values),
  matches: (values) => (entry) => values.includes(entry.kind),
  sql: (values, { bind }) => `e.kind = ANY(${bind(values)}::text[])`,
  rollup: (values, { bind, of }) => (of === 'entries' ? `r.kind = ANY(${bind(values)}::text[])` : null),
})
