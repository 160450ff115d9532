import { heldTogether, readUsual, type Change } from '@murrabel/core/measures'
import type { UsualAnswer } from '@murrabel/contract'

/**
 * The count of the last of some periods against those before it.
 *
 * @param counts oldest first, the present one last
 * @param known which of them were collected: silence elsewhere says nothing
 */
export function usualOf(counts: readonly number[], known: readonly boolean[]): UsualAnswer {
  const last = counts.length - 1
  const read = readUsual(
    counts[last]!,
    counts.slice(0, -1).filter((_, i) => known[i]),
  )
  return known[last] ? read : { ...read, verdict: 'notCollected', p: 1 }
}

/** A change from one period to another; when one of them was not collected, it says nothing. */
export const knownChange = <C extends Change | null>(change: C, known: readonly boolean[]): C =>
  change && known.slice(-2).every(Boolean)
    ? change
    : change && { ...change, enough: false, sure: false, p: 1 }

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
  const usuals = rows.filter(({ usual }) => saysSomething(usual)).map(({ usual }) => usual.p)
  const changes = rows.flatMap((row) =>
    (row.changes ?? []).flatMap((change) => (change?.enough ? [change.p] : [])),
  )
  const [rare, clear] = [mostHeld(usuals), mostHeld(changes)]
  return rows.map((row) => ({
    ...row,
    usual: !saysSomething(row.usual) || row.usual.p <= rare ? row.usual : { ...row.usual, verdict: 'usual' },
    ...(row.changes && {
      changes: row.changes.map((change) => change && { ...change, sure: change.sure && change.p <= clear }),
    }),
  }))
}

const saysSomething = ({ verdict }: UsualAnswer) =>
  verdict !== 'tooLittleHistory' && verdict !== 'notCollected'

/** The greatest chance that is still held; -1 for none. */
const mostHeld = (ps: readonly number[]) => {
  const held = heldTogether(ps)
  return Math.max(-1, ...ps.filter((_, i) => held[i]))
}
