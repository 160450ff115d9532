import { lensOrders, type LensOrder } from '@murrabel/core/lens'
import { routes, type EntryPage, type EntryRow } from '@murrabel/contract'
import { call } from '../api/call.ts'

export type Pairs = [string, string][]

export const pageSize = 60
/** Rows that are asked for at once when all that is shown is looked at again. */
const refreshSize = 200

interface RowsAsked {
  fold?: boolean
  /** Rows of these threads only. */
  threads?: readonly number[]
  /** Stories that rows of these threads stood for, where copies are folded. */
  stories?: readonly number[]
  limit?: number
  after?: string | null
}
/** The pairs that ask for rows of a lens, the first ones unless it is said after which. */
export const firstRows = (
  query: readonly [string, string][],
  { fold = false, limit = pageSize, after = null, threads = [], stories = [] }: RowsAsked = {},
): Pairs => [
  ...query,
  ...(fold ? ([['fold', '1']] as Pairs) : []),
  ['limit', String(limit)],
  ...(after ? ([['after', after]] as Pairs) : []),
  ...(threads.length ? ([['threads', threads.join(',')]] as Pairs) : []),
  ...(stories.length ? ([['stories', stories.join(',')]] as Pairs) : []),
]

/** The order that a lens is asked for in. */
export function orderOf(query: Pairs): LensOrder {
  const asked = query.find(([name]) => name === 'order')?.[1]
  return lensOrders.find((each) => each === asked) ?? 'newest'
}

export const askRows = (query: Pairs, asked: RowsAsked, signal?: AbortSignal): Promise<EntryPage> =>
  call(routes.entries, { query: firstRows(query, asked), signal })

/** As many rows as are shown now, and where the next begin. */
export async function askShown(
  query: Pairs,
  { fold, shown }: { fold: boolean; shown: number },
): Promise<EntryPage> {
  const rows: EntryRow[] = []
  let next: string | null = null
  do {
    const limit = Math.min(refreshSize, shown - rows.length)
    const page: EntryPage = await askRows(query, { fold, limit, after: next })
    rows.push(...page.rows)
    next = page.next
  } while (next && rows.length < shown)
  return { rows, next }
}
