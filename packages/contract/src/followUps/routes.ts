import { can } from '../shared/access.ts'
import { get, post, put, remove } from '../shared/route.ts'
import type { CalendarAddress, FollowUp, FollowUpsAnswer } from './answers.ts'
import type { FollowUpDraft, OutcomeDraft } from './schemas.ts'

/** Routes of follow-ups and leads. */
export const followUpsRoutes = {
  followUps: get<FollowUpsAnswer>('/api/follow-ups', can('look', 'seen')),
  followUpsOf: get<FollowUp[]>('/api/threads/:id/follow-ups', can('look', 'seen')),
  addFollowUp: post<FollowUpDraft, FollowUp>('/api/threads/:id/follow-ups', can('answer', 'seen', 'small')),
  changeFollowUp: put<FollowUpDraft, FollowUp>('/api/follow-ups/:id', can('answer', 'seen', 'small')),
  finishFollowUp: post<OutcomeDraft, FollowUp>('/api/follow-ups/:id/done', can('answer', 'seen', 'small')),
  reopenFollowUp: post<undefined, FollowUp>('/api/follow-ups/:id/reopen', can('answer', 'seen', 'small')),
  removeFollowUp: remove<undefined>('/api/follow-ups/:id', can('answer', 'seen')),
  calendar: get<CalendarAddress>('/api/calendar', can('look', 'self')),
  makeCalendar: post<undefined, CalendarAddress>('/api/calendar', can('look', 'self', 'small')),
  calendarOff: remove<CalendarAddress>('/api/calendar', can('look', 'self')),
} as const
