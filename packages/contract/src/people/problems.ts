import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const peopleProblems = {
  samePerson: refusal(409, 'These are one person already. Nothing was changed.'),
  notJoined: refusal(409, 'These are two people already. Nothing was changed.'),
  joinUndone: refusal(409, 'This was undone already. Nothing was changed.'),
  visitKnown: refusal(409, 'There is a visit of this reference already. Nothing was changed.'),
  wayKnown: refusal(409, 'They have this address or number already. Nothing was changed.'),
} satisfies Record<string, RefusalKind>
