import { can } from '../shared/access.ts'
import { get, post, put, remove } from '../shared/route.ts'
import type { NoteAnswer, NoticeAnswer, NoticeChoices, Presence } from './answers.ts'
import type { DraftDraft, NoteDraft, NoticesSeenDraft, PresenceDraft } from './schemas.ts'

/** Routes of what colleagues do beside each other. */
export const togetherRoutes = {
  presence: get<Presence[]>('/api/presence', can('look', 'shared')),
  bePresent: put<PresenceDraft, undefined>('/api/me/presence', can('look', 'self', 'small')),
  keepDraft: put<DraftDraft, undefined>('/api/threads/:id/draft', can('answer', 'seen', 'medium')),
  addNote: post<NoteDraft, NoteAnswer>('/api/threads/:id/notes', can('answer', 'seen', 'small')),
  changeNote: put<NoteDraft, NoteAnswer>('/api/notes/:id', can('answer', 'seen', 'small')),
  removeNote: remove<undefined>('/api/notes/:id', can('answer', 'seen')),
  restoreNote: post<undefined, NoteAnswer>('/api/notes/:id/restore', can('answer', 'seen', 'small')),
  notices: get<NoticeAnswer[]>('/api/notices', can('look', 'self')),
  noticeChoices: get<NoticeChoices>('/api/notices/choices', can('look', 'self')),
  chooseNotices: put<NoticeChoices, NoticeChoices>('/api/notices/choices', can('look', 'self', 'small')),
  noticesSeen: put<NoticesSeenDraft, undefined>('/api/notices/seen', can('look', 'self', 'small')),
} as const
