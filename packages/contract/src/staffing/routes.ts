import { can } from '../shared/access.ts'
import { get } from '../shared/route.ts'
import type { WeekAheadAnswer } from './answers.ts'

/** Routes of what a team has before it. */
export const staffingRoutes = {
  weekAhead: get<WeekAheadAnswer>('/api/week-ahead', can('look', 'seen')),
} as const
