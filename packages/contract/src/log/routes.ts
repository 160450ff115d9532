import { can } from '../shared/access.ts'
import { get } from '../shared/route.ts'
import type { LogPage } from './answers.ts'

/** Routes of who did what. */
export const logRoutes = {
  log: get<LogPage>('/api/log', can('setUp', 'brand')),
  /** As a table, of the same lens. */
  logCsv: get<string>('/api/log.csv', can('setUp', 'brand')),
} as const
