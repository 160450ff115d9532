import { usualRange, usualVerdict } from '@murrabel/core/measures'
import type { UsualAnswer } from '@murrabel/contract'
import type { Database } from '../../store/database.ts'

/**
 * A count against the periods before it.
 *
 * @param known how many of them, counted from the last, lie within what was collected: silence before that says nothing
 */
export function usualOf(count: number, all: readonly number[], known = all.length): UsualAnswer {
  const previous = known > 0 ? all.slice(-known) : []
  const range = usualRange(previous)
  return {
    verdict: usualVerdict(count, previous),
    low: range?.low ?? null,
    high: range?.high ?? null,
    periods: range?.periods ?? previous.length,
  }
}

/** Of periods that start at these instants, how many lie after the first entry of all; the last start is the present one. */
export const knownPeriods = (starts: readonly number[], first: number | null) =>
  first === null ? 0 : starts.slice(0, -1).filter((at) => at >= first).length

/** When the first entry of a brand was written, epoch milliseconds; null when there is none. */
export async function firstHeard(db: Database, brandId: number): Promise<number | null> {
  const row = await db.one<{ first: Date | null }>(
    'SELECT min(hour) AS first FROM rollups WHERE brand_id = $1 AND n > 0',
    [brandId],
  )
  return row?.first?.getTime() ?? null
}
