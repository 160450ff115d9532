import { can } from '../shared/access.ts'
import { get, post, put, remove } from '../shared/route.ts'
import type { OwnLine, TodayAnswer, Unusual } from './answers.ts'
import type { MorningMailDraft, OwnLineChange, OwnLineDraft } from './schemas.ts'

/** Routes of the page that tells what somebody should know. */
export const todayRoutes = {
  today: get<TodayAnswer>('/api/today', can('look', 'seen')),
  seeToday: post<undefined, undefined>('/api/today/seen', can('look', 'self', 'small')),
  unusual: get<Unusual[]>('/api/today/unusual', can('look', 'seen')),
  addOwnLine: post<OwnLineDraft, OwnLine>('/api/today/lines', can('look', 'self', 'small')),
  changeOwnLine: put<OwnLineChange, OwnLine>('/api/today/lines/:id', can('look', 'self', 'small')),
  removeOwnLine: remove<undefined>('/api/today/lines/:id', can('look', 'self')),
  setMorningMail: put<MorningMailDraft, MorningMailDraft>('/api/today/mail', can('look', 'self', 'small')),
} as const
