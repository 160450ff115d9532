import { can } from '../shared/access.ts'
import { get, post } from '../shared/route.ts'
import type { DataRequest } from './answers.ts'
import type { DataRequestDraft } from './schemas.ts'

/** Routes of what people may ask for of their own data. */
export const personalDataRoutes = {
  dataRequests: get<DataRequest[]>('/api/data-requests', can('data', 'brand')),
  /** Writes down that it was asked for; the file is fetched with the request's id. */
  askHandOut: post<DataRequestDraft, DataRequest>('/api/people/:id/hand-outs', can('data', 'brand', 'small')),
  /** One person's data as a ZIP file. */
  handOut: get<undefined>('/api/people/:id/hand-outs/:request', can('data', 'brand')),
  erasePerson: post<DataRequestDraft, DataRequest>('/api/people/:id/erasures', can('data', 'brand', 'small')),
} as const
