import { can } from '../shared/access.ts'
import type {
  ManyChangeAnswer,
  ManyUndoAnswer,
  Mergeable,
  TagChangeAnswer,
  ThreadAnswer,
  ThreadChangeAnswer,
} from './answers.ts'
import type {
  CancelDraft,
  ChangeReplyDraft,
  GiveDraft,
  HandOffDraft,
  HandOverDraft,
  ManyChangeDraft,
  ManyUndoDraft,
  MergeDraft,
  PriorityDraft,
  ReportDraft,
  ReplyDraft,
  SplitDraft,
  TakeBackDraft,
  TagDraft,
  ThreadEventDraft,
} from './schemas.ts'
import { get, post, put, remove } from '../shared/route.ts'

/** Routes of threads and what is done with them. */
export const inboxRoutes = {
  thread: get<ThreadAnswer>('/api/threads/:id', can('look', 'seen')),
  reply: post<ReplyDraft, ThreadChangeAnswer>('/api/threads/:id/replies', can('answer', 'seen', 'medium')),
  threadEvent: post<ThreadEventDraft, ThreadChangeAnswer>(
    '/api/threads/:id/events',
    can('answer', 'seen', 'small'),
  ),
  undo: post<undefined, ThreadChangeAnswer>(
    '/api/threads/:id/events/:event/undo',
    can('answer', 'seen', 'small'),
  ),
  changeMany: post<ManyChangeDraft, ManyChangeAnswer>('/api/threads/changes', can('answer', 'seen', 'small')),
  handOver: post<HandOverDraft, ManyChangeAnswer>('/api/threads/hand-over', can('answer', 'seen', 'medium')),
  undoMany: post<ManyUndoDraft, ManyUndoAnswer>('/api/threads/undo', can('answer', 'seen', 'medium')),
  tagThreads: put<TagDraft, TagChangeAnswer>('/api/threads/tags', can('answer', 'seen', 'small')),
  give: put<GiveDraft, ThreadChangeAnswer>('/api/threads/:id/given', can('answer', 'seen', 'small')),
  prioritise: put<PriorityDraft, ThreadChangeAnswer>(
    '/api/threads/:id/priority',
    can('answer', 'seen', 'small'),
  ),
  mergeable: get<Mergeable[]>('/api/threads/:id/mergeable', can('look', 'seen')),
  merge: post<MergeDraft, ThreadChangeAnswer>('/api/threads/:id/merge', can('answer', 'seen', 'small')),
  split: post<SplitDraft, ThreadChangeAnswer>('/api/threads/:id/split', can('answer', 'seen', 'small')),
  handOff: put<HandOffDraft, undefined>('/api/threads/:id/handoff', can('answer', 'seen', 'small')),
  takeBackHandOff: remove<undefined>('/api/threads/:id/handoff', can('answer', 'seen')),
  changeReply: put<ChangeReplyDraft, undefined>('/api/entries/:id/text', can('answer', 'seen', 'medium')),
  takeBackReply: post<TakeBackDraft, undefined>('/api/entries/:id/take-back', can('answer', 'seen', 'small')),
  reportEntry: post<ReportDraft, undefined>('/api/entries/:id/report', can('answer', 'seen', 'small')),
  retryAction: post<undefined, undefined>('/api/actions/:id/retry', can('answer', 'seen', 'small')),
  cancelAction: post<CancelDraft, undefined>('/api/actions/:id/cancel', can('answer', 'seen', 'small')),
} as const
