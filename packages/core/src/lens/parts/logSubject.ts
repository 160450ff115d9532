import { definePart } from '../part.ts'
import { logSubjects, type LogSubject } from '../values.ts'
import { listPhrase, parseList, printList } from './shared.ts'

/** What it happened to. */
export const logSubject = definePart({
  field: 'logSubjects',
  of: 'logLine',
  name: 'concerns',
  blank: [] as LogSubject[],
  print: printList,
  parse: (text) => parseList<LogSubject>(text, (value) => logSubjects.some((each) => each === value)),
  phrase: listPhrase,
  matches: (subjects) => (_entry, subject) => subjects.includes(subject!.logLine!.subject),
  sql: (subjects, { bind }) => `v.subject = ANY(${bind(subjects)}::text[])`,
})
