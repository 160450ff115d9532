import type { ReplyDoubt } from '@murrabel/core/replies'
import { can } from '../shared/access.ts'
import { get, post, put, remove } from '../shared/route.ts'
import type { PatternAnswer, ReplyStarts, SignOffAnswer } from './answers.ts'
import type { PatternDraft, ReplyCheckDraft, SignOffDraft } from './schemas.ts'

/** Routes of what helps with answers. */
export const repliesRoutes = {
  checkReply: post<ReplyCheckDraft, ReplyDoubt[]>(
    '/api/threads/:id/replies/check',
    can('answer', 'seen', 'medium'),
  ),
  replyStarts: get<ReplyStarts>('/api/threads/:id/starts', can('answer', 'seen')),
  patterns: get<PatternAnswer[]>('/api/patterns', can('answer', 'seen')),
  keepPattern: post<PatternDraft, PatternAnswer>('/api/patterns', can('answer', 'seen', 'medium')),
  changePattern: put<PatternDraft, PatternAnswer>('/api/patterns/:id', can('answer', 'seen', 'medium')),
  removePattern: remove<undefined>('/api/patterns/:id', can('answer', 'seen')),
  signOffs: get<SignOffAnswer[]>('/api/sign-offs', can('answer', 'shared')),
  keepSignOff: post<SignOffDraft, SignOffAnswer>('/api/sign-offs', can('answer', 'shared', 'small')),
  changeSignOff: put<SignOffDraft, SignOffAnswer>('/api/sign-offs/:id', can('answer', 'shared', 'small')),
  removeSignOff: remove<undefined>('/api/sign-offs/:id', can('answer', 'shared')),
} as const
