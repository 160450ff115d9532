/** Somebody who may be given threads. */
export interface Taker<Thread> {
  id: number
  sees(thread: Thread): boolean
}

/**
 * Divides threads among those who may see them: each goes, in the order given, to whoever of them has been given fewest so far, and
 * of equals to the one named first. What nobody of the first group may see goes to the second; what nobody may see, to nobody.
 *
 * @param first those who are asked first
 * @param rest those who are asked for what is left
 * @returns for each thread, in order, the id of its taker or null
 */
export function shareOut<Thread>(
  threads: readonly Thread[],
  first: readonly Taker<Thread>[],
  rest: readonly Taker<Thread>[] = [],
): (number | null)[] {
  const given = new Map<number, number>()
  const fewest = (takers: readonly Taker<Thread>[], thread: Thread): number | null => {
    let best: number | null = null
    for (const { id, sees } of takers)
      if (sees(thread) && (best === null || (given.get(id) ?? 0) < (given.get(best) ?? 0))) best = id
    return best
  }
  return threads.map((thread) => {
    const taker = fewest(first, thread) ?? fewest(rest, thread)
    if (taker !== null) given.set(taker, (given.get(taker) ?? 0) + 1)
    return taker
  })
}
