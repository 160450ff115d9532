import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const brandProblems = {
  signInFailed: refusal(401, 'E-mail address and password do not belong together. Check both and try again.'),
  notSignedIn: refusal(
    401,
    'You are not signed in, or your session has ended. Sign in again; what you typed is still here.',
  ),
  notAllowed: refusal(403, 'Your role does not allow this. Nothing was changed; ask an owner or a lead.'),
  limitedAccess: refusal(
    403,
    'Your access is limited to some places or profiles, and this concerns the whole brand. Nothing was changed; ask somebody who sees all of it.',
  ),
  foreignOrigin: refusal(403, 'The request came from another site and was refused. Nothing was changed.'),
} satisfies Record<string, RefusalKind>
