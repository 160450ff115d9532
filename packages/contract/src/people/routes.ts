import { can } from '../shared/access.ts'
import { get, post, put, remove } from '../shared/route.ts'
import type { PeopleAnswer, PersonCard, PersonWay, ProposalsAnswer } from './answers.ts'
import type { PairDraft, PersonDraft, WayDraft } from './schemas.ts'

/** Routes of people: who wrote, how they are reached, and who is the same. */
export const peopleRoutes = {
  people: get<PeopleAnswer>('/api/people', can('look', 'seen')),
  exportPeople: get<undefined>('/api/people/export.csv', can('look', 'seen')),
  exportVcards: get<undefined>('/api/people/export.vcf', can('look', 'seen')),
  proposals: get<ProposalsAnswer>('/api/people/proposals', can('look', 'seen')),
  joinPeople: post<PairDraft, { person: number; join: number }>(
    '/api/people/joins',
    can('answer', 'seen', 'small'),
  ),
  undoJoin: post<undefined, undefined>('/api/people/joins/:id/undo', can('answer', 'seen', 'small')),
  keepApart: post<PairDraft, undefined>('/api/people/apart', can('answer', 'seen', 'small')),
  person: get<PersonCard>('/api/people/:id', can('look', 'seen')),
  changePerson: put<PersonDraft, PersonCard>('/api/people/:id', can('answer', 'seen', 'small')),
  addWay: post<WayDraft, PersonWay>('/api/people/:id/ways', can('answer', 'seen', 'small')),
  changeWay: put<WayDraft, PersonWay>('/api/people/:id/ways/:way', can('answer', 'seen', 'small')),
  removeWay: remove<undefined>('/api/people/:id/ways/:way', can('answer', 'seen')),
} as const
