import type { Wish } from '../../meaning/model.ts'
import { definePart } from '../part.ts'
import { lensWishes } from '../values.ts'
import { listPhrase, parseList, printList } from './shared.ts'

/** What is wanted of us. */
export const wishes = definePart({
  field: 'wishes',
  name: 'wish',
  blank: [] as Wish[],
  print: printList,
  parse: (text) => parseList<Wish>(text, (each) => lensWishes.includes(each as Wish)),
  phrase: listPhrase,
  matches: (values) => (entry) => entry.wish !== null && values.includes(entry.wish),
  sql: (values, { bind }) => `e.wish = ANY(${bind(values)}::text[])`,
})
