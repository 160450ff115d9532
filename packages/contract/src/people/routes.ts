import { can } from '../shared/access.ts'
import { get, post, put, remove } from '../shared/route.ts'
import type {
  PeopleAnswer,
  PeopleCount,
  PersonCard,
  PersonWay,
  ProposalsAnswer,
  TakenCustomers,
  ThreadVisitsAnswer,
  Visit,
} from './answers.ts'
import type {
  BelongsDraft,
  CustomersDraft,
  NewPersonDraft,
  PairDraft,
  PersonDraft,
  VisitDraft,
  WayDraft,
} from './schemas.ts'

/** Routes of people: who wrote, how they are reached, who is the same, and what they visited. */
export const peopleRoutes = {
  people: get<PeopleAnswer>('/api/people', can('look', 'seen')),
  peopleCount: get<PeopleCount>('/api/people/count', can('look', 'seen')),
  addPerson: post<NewPersonDraft, PersonCard>('/api/people', can('answer', 'brand', 'small')),
  exportPeople: get<undefined>('/api/people/export.csv', can('look', 'seen')),
  exportVcards: get<undefined>('/api/people/export.vcf', can('look', 'seen')),
  proposals: get<ProposalsAnswer>('/api/people/proposals', can('look', 'seen')),
  joinPeople: post<PairDraft, { person: number; join: number }>(
    '/api/people/joins',
    can('answer', 'seen', 'small'),
  ),
  undoJoin: post<undefined, undefined>('/api/people/joins/:id/undo', can('answer', 'seen', 'small')),
  keepApart: post<PairDraft, undefined>('/api/people/apart', can('answer', 'seen', 'small')),
  /** That two are not the same is taken back: they may be proposed again. */
  undoApart: post<PairDraft, undefined>('/api/people/apart/undo', can('answer', 'seen', 'small')),
  person: get<PersonCard>('/api/people/:id', can('look', 'seen')),
  changePerson: put<PersonDraft, PersonCard>('/api/people/:id', can('answer', 'seen', 'small')),
  addWay: post<WayDraft, PersonWay>('/api/people/:id/ways', can('answer', 'seen', 'small')),
  changeWay: put<WayDraft, PersonWay>('/api/people/:id/ways/:way', can('answer', 'seen', 'small')),
  removeWay: remove<undefined>('/api/people/:id/ways/:way', can('answer', 'seen')),
  addVisit: post<VisitDraft, Visit>('/api/people/:id/visits', can('answer', 'seen', 'small')),
  changeVisit: put<VisitDraft, Visit>('/api/people/:id/visits/:visit', can('answer', 'seen', 'small')),
  removeVisit: remove<undefined>('/api/people/:id/visits/:visit', can('answer', 'seen')),
  threadVisits: get<ThreadVisitsAnswer>('/api/threads/:id/visits', can('look', 'seen')),
  sayVisit: put<BelongsDraft, ThreadVisitsAnswer>(
    '/api/threads/:id/visits/:visit',
    can('answer', 'seen', 'small'),
  ),
  /** For programs: customers and their visits, as a till or a booking system knows them. */
  takeCustomers: post<CustomersDraft, TakenCustomers>('/api/customers', can('import', 'brand', 'medium')),
} as const
