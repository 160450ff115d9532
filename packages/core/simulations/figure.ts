/** One line of docs/statistics.md: what is claimed of a figure, and what a simulation gave. */
export interface SimulatedFigure {
  what: string
  claimed: string
  measured: string
  /** How, with the sizes. */
  how: string
}

/** Numbers that look random and are the same each time: a linear congruence, as of Numerical Recipes. */
export function drawing(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) >>> 0
    return state / 2 ** 32
  }
}

/** Of kinds with these shares, how many of each are drawn among n. */
export function sample(shares: readonly number[], n: number, draw: () => number): number[] {
  const counts = shares.map(() => 0)
  for (let i = 0; i < n; i++) {
    let left = draw()
    const kind = shares.findIndex((share) => (left -= share) < 0)
    counts[kind < 0 ? counts.length - 1 : kind]!++
  }
  return counts
}

/** In how many of so many runs something is met, 0 to 1. */
export function rate(runs: number, met: () => boolean): number {
  let found = 0
  for (let i = 0; i < runs; i++) if (met()) found++
  return found / runs
}

export const percent = (share: number) => `${(100 * share).toFixed(1)}%`

/** What was made of these counts, made once. */
export function remembered<T>(make: (counts: readonly number[]) => T): (counts: readonly number[]) => T {
  const known = new Map<string, T>()
  return (counts) => {
    const key = counts.join()
    const found = known.get(key) ?? make(counts)
    known.set(key, found)
    return found
  }
}
