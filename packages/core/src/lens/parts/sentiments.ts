import type { Sentiment } from '../../sentiment/index.ts'
import { definePart } from '../part.ts'
import { lensSentiments } from '../values.ts'
import { listPhrase, parseList, printList } from './shared.ts'

export const sentiments = definePart({
  field: 'sentiments',
  name: 'sentiment',
  blank: [] as Sentiment[],
  print: printList,
  parse: (text) => parseList<Sentiment>(text, (each) => lensSentiments.includes(each as Sentiment)),
  phrase: listPhrase,
  matches: (values) => (entry) => values.includes(entry.sentiment),
  sql: (values, { bind }) => `e.sentiment = ANY(${bind(values)}::text[])`,
  rollup: (values, { bind }) => `r.sentiment = ANY(${bind(values)}::text[])`,
})
