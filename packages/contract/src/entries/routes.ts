import { can } from '../shared/access.ts'
import type { CountAnswer, EntryPage, TideAnswer } from './answers.ts'
import type { KeepDraft } from './schemas.ts'
import { get, put } from '../shared/route.ts'

/** Routes of entries, wherever they are listed. */
export const entriesRoutes = {
  entries: get<EntryPage>('/api/entries', can('look', 'seen')),
  entryCount: get<CountAnswer>('/api/entries/count', can('look', 'seen')),
  tide: get<TideAnswer>('/api/tide', can('look', 'seen')),
  exportCsv: get<undefined>('/api/entries/export.csv', can('look', 'seen')),
  exportFeed: get<undefined>('/api/entries/export.json', can('look', 'seen')),
  correct: put<{ sentiment: string | null; shown?: boolean; drawn?: boolean }, { sentiment: string }>(
    '/api/entries/:id/sentiment',
    can('answer', 'seen', 'small'),
  ),
  keepEntries: put<KeepDraft, { changed: number[] }>('/api/entries/kept', can('answer', 'seen', 'small')),
  correctMany: put<
    { ids: number[]; sentiment: string | null },
    { changed: { id: number; before: string }[] }
  >('/api/entries/sentiment', can('answer', 'seen', 'small')),
} as const
