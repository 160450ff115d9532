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
