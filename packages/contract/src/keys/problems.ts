import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const keysProblems = {
  keyWrong: refusal(401, 'This key is wrong, was removed or has ended. Nothing was done.'),
  keyNotAllowed: refusal(403, 'This key was not made for that. Nothing was done; make one that may do it.'),
  keyEnds: refusal(422, 'A key ends between a day and a year from now. Nothing was made.'),
  tooManyKeys: refusal(409, 'There are as many as there can be. Remove one first; nothing was made.'),
} satisfies Record<string, RefusalKind>
