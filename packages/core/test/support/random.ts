export { bunched, normal } from '../../simulations/draws.ts'

/** Numbers of 0 to 1 from a seed (mulberry32). */
export function seeded(seed: number): () => number {
  let a = seed >>> 0
  return () => {
    a = (a + 0x6d2b79f5) | 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** A Poisson count (Knuth), by halves for large means. */
export function poisson(mean: number, random: () => number): number {
  if (mean > 30) return poisson(mean / 2, random) + poisson(mean / 2, random)
  const left = Math.exp(-mean)
  let count = 0
  for (let p = random(); p > left; p *= random()) count++
  return count
}
