import { refusal, type RefusalKind } from '../shared/refusal.ts'

export const approvalsProblems = {
  approvalWaits: refusal(
    409,
    'An answer in this thread waits for a lead’s word already. Nothing was asked; your text is kept. Take the other one back first.',
  ),
  approvalDecided: refusal(
    409,
    'Somebody has decided about this answer already. Nothing was changed; look at the thread.',
  ),
  noLead: refusal(
    409,
    'This colleague cannot approve answers here: they are no lead or owner, or cannot see this thread. Nothing was asked; choose another.',
  ),
} satisfies Record<string, RefusalKind>
