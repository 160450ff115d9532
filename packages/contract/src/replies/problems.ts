import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const repliesProblems = {
  manyPatterns: refusal(
    409,
    'There are 500 patterns already. Remove one that nobody uses; nothing was changed.',
  ),
  patternName: refusal(409, 'Another pattern has this name. Nothing was saved; give it another.'),
  patternTaken: refusal(
    409,
    'Other patterns take this one in. Take it out of them first; nothing was changed.',
  ),
  manySignOffs: refusal(
    409,
    'There are 100 sign-offs already. Remove one that nobody uses; nothing was changed.',
  ),
  signOffGone: refusal(
    409,
    'This sign-off was removed, or is of somebody who is no longer on the team. Nothing was sent; choose another.',
  ),
  sendAtPast: refusal(
    422,
    'The time to send it at has passed, or is more than 90 days away. Nothing was sent; choose another.',
  ),
} satisfies Record<string, RefusalKind>
