import { definePart } from '../part.ts'
import { lensOrigins, type EntryOrigin } from '../values.ts'
import { listPhrase, parseList, printList } from './shared.ts'

/**
 * Whether a list of origins is just what is to be answered: said to us, or heard by a watch whose mentions are answered.
 *
 * @example isToAnswer(['sent', 'watched']) // true
 */
export const isToAnswer = (values: readonly EntryOrigin[]): boolean =>
  values.length === 2 && values.includes('sent') && values.includes('watched')

/** How it came: said to us, heard by a watch whose mentions are answered, or only heard. */
export const origins = definePart({
  field: 'origins',
  name: 'origin',
  blank: [] as EntryOrigin[],
  print: printList,
  parse: (text) => parseList<EntryOrigin>(text, (each) => lensOrigins.includes(each as EntryOrigin)),
  // What is to be answered is told by the kinds.
  phrase: (values) => ({ ...listPhrase(values), narrows: values.length > 0 && !isToAnswer(values) }),
  matches: (values) => (entry) => values.includes(entry.origin),
  sql: (values, { bind }) => `e.origin = ANY(${bind(values)}::text[])`,
})
