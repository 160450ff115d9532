import { heldTogether, readUsual, type Change } from '@murrabel/core/measures'
import type { UsualAnswer } from '@murrabel/contract'
import type { ComparedPeriods } from './shownRange.ts'

/**
 * A count against the periods before it.
 *
 * @param known how many of them, counted from the last, lie within what was collected: silence before that says nothing
 */
export const usualOf = (count: number, all: readonly number[], known = all.length): UsualAnswer =>
  readUsual(count, known > 0 ? all.slice(-known) : [])

/** How many of the periods before lie after the first entry of all; none when the present one has only just begun. */
export function knownPeriods({ periods }: ComparedPeriods, first: number | null | undefined): number {
  const present = periods[periods.length - 1]!
  if (first == null || present.to <= present.from) return 0
  return periods.slice(0, -1).filter(({ from }) => from >= first).length
}

interface Judged {
  usual: UsualAnswer
  changes: readonly (Change | null)[]
}

/**
 * What is shown on one screen, with only so much of it called unusual or a clear change that a tenth of that may be chance.
 *
 * @param rows a row's usual and changes; they are judged over all rows, and come back in the same order
 */
export function judgedTogether<T extends Judged>(rows: readonly T[]): T[] {
  const all = rows.flatMap(({ usual, changes }) => [
    ...(usual.verdict === 'tooLittleHistory' ? [] : [usual.p]),
    ...changes.flatMap((change) => (change?.enough ? [change.p] : [])),
  ])
  const held = heldTogether(all)
  const most = Math.max(-1, ...all.filter((_, i) => held[i]))
  return rows.map((row) => ({
    ...row,
    usual:
      row.usual.verdict === 'tooLittleHistory' || row.usual.p <= most
        ? row.usual
        : { ...row.usual, verdict: 'usual' },
    changes: row.changes.map((change) => change && { ...change, sure: change.sure && change.p <= most }),
  }))
}
