import { refusal, type RefusalKind } from './refusal.ts'

export const sharedProblems = {
  invalid: refusal(
    422,
    'Some of what was given cannot be used. Nothing was changed; mend the fields named here and send it again.',
  ),
  notFound: refusal(404, 'This is not here, or not open to you. It may have been deleted.'),
  tooMany: refusal(429, 'Too many tries in a short time. Wait a minute and try again.', true),
  tooLarge: refusal(
    413,
    'The file is larger than can be taken. Nothing was kept; split it and send the parts.',
  ),
  unreadableBody: refusal(400, 'The request could not be read: its body is not valid. Nothing was changed.'),
  changedMeanwhile: refusal(
    409,
    'Somebody changed this while you had it open. Nothing was saved; your version is still here. Load it again to see theirs.',
  ),
  tooMuch: refusal(
    503,
    'This took longer than may be waited for. Nothing was changed; choose a shorter time or a narrower lens.',
    true,
  ),
  databaseAway: refusal(
    503,
    'The database does not answer just now. Nothing was lost; this page tries again by itself.',
    true,
  ),
  running: refusal(409, 'This is already running. Wait for it to end.'),
  broken: refusal(
    500,
    'The server met a fault and noted it. Nothing you typed was lost; try again, and tell us the number below if it stays.',
    true,
  ),
} satisfies Record<string, RefusalKind>
