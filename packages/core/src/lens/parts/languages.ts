import { definePart } from '../part.ts'
import { listPhrase, parseList, printList } from './shared.ts'

/** BCP 47; "und" for what could not be told. */
export const languages = definePart({
  field: 'languages',
  name: 'language',
  blank: [] as string[],
  print: printList,
  parse: (text) => parseList<string>(text, (each) => /^[a-z]{2,3}$/.test(each)),
  phrase: listPhrase,
  matches: (values) => (entry) => values.includes(entry.language),
  sql: (values, { bind }) => `e.language = ANY(${bind(values)}::text[])`,
})
