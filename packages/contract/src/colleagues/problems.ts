import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const colleaguesProblems = {
  memberAlready: refusal(409, 'They work on this brand already. Nothing was sent.'),
  invitedAlready: refusal(
    409,
    'They were invited already. Take that invitation back first; nothing was sent.',
  ),
  lastOwner: refusal(
    409,
    'A brand keeps at least one owner. Nothing was changed; make somebody else an owner first.',
  ),
  onlyOwners: refusal(403, 'Only an owner makes owners and changes them. Nothing was changed.'),
  linkEnded: refusal(410, 'This link was used, taken back, or has ended. Ask for a new one.'),
  codeNeeded: refusal(
    401,
    'This account has a second factor. Enter the code your app shows, or one of your recovery codes.',
  ),
  codeWrong: refusal(
    401,
    'This code is not the one of now, or was used already. Enter the next one your app shows, or a recovery code.',
  ),
  secondFactorOn: refusal(409, 'Your second factor is on already. Nothing was changed.'),
  secondFactorOff: refusal(409, 'No second factor was begun, or it is off. Begin again.'),
  worksElsewhere: refusal(
    409,
    'They work on another brand as well, so its owners would have to trust this. Nothing was changed; a recovery code signs them in.',
  ),
  passwordWrong: refusal(403, 'This is not the password you have. Nothing was changed.'),
} satisfies Record<string, RefusalKind>
