import { can } from '../shared/access.ts'
import { get, post, put, remove } from '../shared/route.ts'
import type { Absence, Team } from './answers.ts'
import type { AbsenceDraft, TeamDraft } from './schemas.ts'

/** Routes of who is away and who takes over, and of teams. */
export const absencesRoutes = {
  absences: get<Absence[]>('/api/absences', can('look', 'shared')),
  setOwnAbsence: put<AbsenceDraft, Absence>('/api/me/absence', can('answer', 'self', 'small')),
  endOwnAbsence: remove<undefined>('/api/me/absence', can('answer', 'self')),
  setAbsence: put<AbsenceDraft, Absence>(
    '/api/set-up/colleagues/:id/absence',
    can('setUp', 'brand', 'small'),
  ),
  endAbsence: remove<undefined>('/api/set-up/colleagues/:id/absence', can('setUp', 'brand')),
  addTeam: post<TeamDraft, Team>('/api/set-up/teams', can('setUp', 'brand', 'small')),
  changeTeam: put<TeamDraft, Team>('/api/set-up/teams/:id', can('setUp', 'brand', 'small')),
  removeTeam: remove<undefined>('/api/set-up/teams/:id', can('setUp', 'brand')),
} as const
