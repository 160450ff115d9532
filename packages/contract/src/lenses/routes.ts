import { can } from '../shared/access.ts'
import { get, post, put, remove } from '../shared/route.ts'
import type { KeptLens, LensCounts } from './answers.ts'
import type { KeptLensDraft, LensOrderDraft } from './schemas.ts'

/** Routes of the lenses that people keep. What a lens shows is limited by who looks, wherever it is shown. */
export const lensesRoutes = {
  lenses: get<KeptLens[]>('/api/lenses', can('look', 'shared')),
  lensCounts: get<LensCounts>('/api/lenses/counts', can('look', 'seen')),
  keepLens: post<KeptLensDraft, KeptLens>('/api/lenses', can('look', 'shared', 'small')),
  orderLenses: put<LensOrderDraft, KeptLens[]>('/api/lenses/order', can('look', 'shared', 'small')),
  changeLens: put<KeptLensDraft, KeptLens>('/api/lenses/:id', can('look', 'shared', 'small')),
  removeLens: remove<undefined>('/api/lenses/:id', can('look', 'shared')),
} as const
