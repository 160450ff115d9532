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
  changes?: readonly (Change | null)[]
}

/**
 * What is shown on one screen, with only so much of it called unusual, and only so much a clear change, that a tenth of either may be
 * chance.
 *
 * @param rows a row's usual and changes; they are judged over all rows, and come back in the same order
 */
export function judgedTogether<T extends Judged>(rows: readonly T[]): T[] {
  const usuals = rows.filter(({ usual }) => usual.verdict !== 'tooLittleHistory').map(({ usual }) => usual.p)
  const changes = rows.flatMap((row) =>
    (row.changes ?? []).flatMap((change) => (change?.enough ? [change.p] : [])),
  )
  const [rare, clear] = [mostHeld(usuals), mostHeld(changes)]
  return rows.map((row) => ({
    ...row,
    usual:
      row.usual.verdict === 'tooLittleHistory' || row.usual.p <= rare
        ? row.usual
        : { ...row.usual, verdict: 'usual' },
    ...(row.changes && {
      changes: row.changes.map((change) => change && { ...change, sure: change.sure && change.p <= clear }),
    }),
  }))
}

/** The greatest chance that is still held; -1 for none. */
const mostHeld = (ps: readonly number[]) => {
  const held = heldTogether(ps)
  return Math.max(-1, ...ps.filter((_, i) => held[i]))
}
