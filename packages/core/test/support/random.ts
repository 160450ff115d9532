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

/** A standard normal value (Box and Muller). */
export const normal = (random: () => number) =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())

/** A count whose variance is so many times its mean: bunches of geometrically distributed size that come independently. */
export function bunched(mean: number, dispersion: number, random: () => number): number {
  if (dispersion <= 1) return poisson(mean, random)
  const size = (dispersion + 1) / 2
  let count = 0
  for (let left = poisson(mean / size, random); left > 0; left--)
    count += 1 + Math.floor(Math.log(1 - random()) / Math.log(1 - 1 / size))
  return count
}
