/**
 * So many of a list, spread over it and over its sources: sources take turns, each giving its own in even steps. The
 * sample comes back in the list's order.
 *
 * @param sourceOf what to spread over beside the order, such as the channel
 * @example spreadSample([1, 2, 3, 4], 2, String) // [1,2]
 */
export function spreadSample<T>(list: readonly T[], count: number, sourceOf: (item: T) => string): T[] {
  if (list.length <= count) return [...list]
  const sources = new Map<string, number[]>()
  list.forEach((item, i) => {
    const name = sourceOf(item)
    const own = sources.get(name)
    if (own) own.push(i)
    else sources.set(name, [i])
  })
  const taken = new Set<number>()
  for (const [name, quota] of quotas([...sources], count)) {
    const own = sources.get(name)!
    for (let k = 0; k < quota; k++) taken.add(own[Math.floor((k * own.length) / quota)]!)
  }
  return [...taken].sort((a, b) => a - b).map((i) => list[i]!)
}

/** Half in proportion to the sources' sizes, half evenly, so that small sources are heard. */
function quotas(sources: readonly [string, number[]][], count: number): Map<string, number> {
  const total = sources.reduce((sum, [, own]) => sum + own.length, 0)
  const wanted = sources.map(([name, own]) => ({
    name,
    room: own.length,
    share: (count / 2) * (own.length / total) + count / 2 / sources.length,
  }))
  const given = new Map(wanted.map(({ name, room, share }) => [name, Math.min(room, Math.floor(share))]))
  const sum = () => [...given.values()].reduce((a, b) => a + b, 0)
  const byRest = [...wanted].sort((a, b) => (b.share % 1) - (a.share % 1) || a.name.localeCompare(b.name))
  while (sum() < count) {
    let moved = false
    for (const { name, room } of byRest) {
      if (sum() >= count || given.get(name)! >= room) continue
      given.set(name, given.get(name)! + 1)
      moved = true
    }
    if (!moved) break
  }
  return given
}
