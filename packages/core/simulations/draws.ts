import { poissonOf } from '../src/measures/index.ts'

/** A standard normal value (Box and Muller). */
export const normal = (draw: () => number) =>
  Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw())

/** A count whose variance is so many times its mean: bunches that come independently, of geometrically distributed size. */
export function bunched(mean: number, dispersion: number, draw: () => number): number {
  if (dispersion <= 1) return poissonOf(mean, draw)
  // A geometric size of mean m makes the variance 2m − 1 times the mean.
  const size = (dispersion + 1) / 2
  let count = 0
  for (let left = poissonOf(mean / size, draw); left > 0; left--)
    count += 1 + Math.floor(Math.log(1 - draw()) / Math.log(1 - 1 / size))
  return count
}
