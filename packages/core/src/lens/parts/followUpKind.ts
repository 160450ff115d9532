import { definePart } from '../part.ts'
import { followUpKinds, type FollowUpKind } from '../values.ts'
import { listPhrase, parseList, printList } from './shared.ts'

/** Kinds of follow-ups. */
export const followUpKind = definePart({
  field: 'followUpKinds',
  of: 'followUp',
  name: 'what',
  blank: [] as FollowUpKind[],
  print: printList,
  parse: (text) => parseList<FollowUpKind>(text, (value) => followUpKinds.some((each) => each === value)),
  phrase: listPhrase,
  matches: (kinds) => (_entry, subject) => kinds.includes(subject!.followUp!.kind),
  sql: (kinds, { bind }) => `f.kind = ANY(${bind(kinds)}::text[])`,
})
