import { can } from '../shared/access.ts'
import { post, remove } from '../shared/route.ts'
import type { ApprovalAnswer } from './answers.ts'
import type { ApprovalDraft, DecisionDraft } from './schemas.ts'

/** Routes of answers that wait for a lead's word. */
export const approvalsRoutes = {
  askApproval: post<ApprovalDraft, ApprovalAnswer>(
    '/api/threads/:id/approvals',
    can('answer', 'seen', 'medium'),
  ),
  decideApproval: post<DecisionDraft, ApprovalAnswer>(
    '/api/approvals/:id/decision',
    can('setUp', 'seen', 'medium'),
  ),
  takeBackApproval: remove<undefined>('/api/approvals/:id', can('answer', 'seen')),
} as const
