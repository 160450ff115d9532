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
  passwordWrong: refusal(403, 'This is not the password you have. Nothing was changed.'),
} satisfies Record<string, RefusalKind>
