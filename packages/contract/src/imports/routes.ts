import { can } from '../shared/access.ts'
import type { ImportState } from './answers.ts'
import type { StartImportDraft } from './schemas.ts'
import { get, post, remove } from '../shared/route.ts'

/** Routes of files that are brought in. */
export const importsRoutes = {
  imports: get<ImportState[]>('/api/imports', can('import', 'brand')),
  /** The body is the file itself, as text; its kind and name stand in the query. */
  importDocument: post<string, ImportState>('/api/imports', can('import', 'brand', 'file')),
  importState: get<ImportState>('/api/imports/:id', can('import', 'brand')),
  startImport: post<StartImportDraft, ImportState>('/api/imports/:id/start', can('import', 'brand', 'small')),
  dropImport: remove<undefined>('/api/imports/:id', can('import', 'brand')),
} as const
