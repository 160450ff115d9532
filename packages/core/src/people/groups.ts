/** Two who were joined: they, and all who are joined with either, are one person. */
export interface Join {
  one: number
  other: number
}

/**
 * Who is shown as whom: people that joins connect are one, shown as the one who was known first (the lowest id). It depends
 * on the joins that stand alone, in no order, so that undoing one leaves what was before it.
 *
 * @param ids everybody that is asked about; joins with anybody else are passed over
 * @returns each id with the id it is shown as
 * @example shownAs([1, 2, 3], [{ one: 3, other: 2 }]) // Map { 1 => 1, 2 => 2, 3 => 2 }
 */
export function shownAs(ids: readonly number[], joins: readonly Join[]): Map<number, number> {
  const parent = new Map(ids.map((id) => [id, id]))
  const rootOf = (id: number): number => {
    let root = id
    while (parent.get(root) !== root) root = parent.get(root)!
    // Everybody on the way is shown the short way next time.
    for (let each = id; each !== root;) {
      const next = parent.get(each)!
      parent.set(each, root)
      each = next
    }
    return root
  }
  for (const { one, other } of joins) {
    if (!parent.has(one) || !parent.has(other)) continue
    const [a, b] = [rootOf(one), rootOf(other)]
    parent.set(Math.max(a, b), Math.min(a, b))
  }
  return new Map(ids.map((id) => [id, rootOf(id)]))
}

/**
 * The joins to be undone so that two of one group are apart: those between the part that the first keeps and the rest, when
 * what a person joined by hand is undone before what is certain.
 *
 * @returns the joins on the shortest way between the two, until none is left; empty when they are apart already
 */
export function joinsBetween<J extends Join>(joins: readonly J[], one: number, other: number): J[] {
  let left = [...joins]
  const undone: J[] = []
  for (;;) {
    const way = shortestWay(left, one, other)
    if (!way) return undone
    // The last step of the way: the other leaves, whoever else is with the first stays with them.
    const last = way.at(-1)!
    undone.push(last)
    left = left.filter((join) => join !== last)
  }
}

function shortestWay<J extends Join>(joins: readonly J[], from: number, to: number): J[] | null {
  const came = new Map<number, J | null>([[from, null]])
  const waiting = [from]
  for (let at = waiting.shift(); at !== undefined; at = waiting.shift()) {
    if (at === to) {
      const way: J[] = []
      for (let step = came.get(at); step; step = came.get(at)) {
        way.unshift(step)
        at = step.one === at ? step.other : step.one
      }
      return way
    }
    for (const join of joins) {
      const next = join.one === at ? join.other : join.other === at ? join.one : null
      if (next === null || came.has(next)) continue
      came.set(next, join)
      waiting.push(next)
    }
  }
  return null
}
