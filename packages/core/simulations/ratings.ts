import { changeOfRating, meanRating, type RatingMean } from '../src/measures/index.ts'
import { drawing, type SimulatedFigure } from './figure.ts'

/** Shares of ratings of 1, 2, 3, 4 and 5. */
const truths: Record<string, readonly number[]> = {
  'one in 20 the worst, else the best': [0.05, 0, 0, 0, 0.95],
  'one in 100 the worst, else the best': [0.01, 0, 0, 0, 0.99],
  'one in five a four, else fives': [0, 0, 0, 0.2, 0.8],
  'one in 50 a four, else fives': [0, 0, 0, 0.02, 0.98],
  'of all kinds': [0.16, 0.1, 0.08, 0.22, 0.44],
  'half the worst, half the best': [0.5, 0, 0, 0, 0.5],
  'mostly threes': [0.1, 0.2, 0.4, 0.2, 0.1],
}
const sizes = [1, 3, 10, 100, 500]
const pairs = [
  [1, 1],
  [1, 500],
  [3, 500],
  [10, 10],
  [10, 100],
  [100, 100],
  [500, 500],
] as const

const known = new Map<string, RatingMean>()
function meanOf(stars: readonly number[]): RatingMean {
  const key = stars.join()
  const found = known.get(key) ?? meanRating(stars)!
  known.set(key, found)
  return found
}

function sample(truth: readonly number[], n: number, draw: () => number): number[] {
  const stars = [0, 0, 0, 0, 0]
  for (let i = 0; i < n; i++) {
    let left = draw()
    const star = truth.findIndex((share) => (left -= share) < 0)
    stars[star < 0 ? 4 : star]!++
  }
  return stars
}

const percent = (share: number) => `${(100 * share).toFixed(1)}%`

/** Mean ratings: how often the interval holds the truth, and how often two of the same are called surely different. */
export function ratingFigures(runs = 2000): SimulatedFigure[] {
  const draw = drawing(8)
  const of = (truth: readonly number[], n: number) => meanOf(sample(truth, n, draw))
  const share = (met: () => boolean) => Array.from({ length: runs }, met).filter(Boolean).length / runs
  return Object.entries(truths).flatMap(([name, truth]) => {
    const mean = truth.reduce((sum, part, i) => sum + part * (i + 1), 0)
    const covered = sizes.map((n) => {
      const rate = share(() => {
        const { low, high } = of(truth, n)
        return low <= mean + 1e-6 && mean <= high + 1e-6
      })
      return `${percent(rate)} at ${n}`
    })
    const wrong = pairs.map(
      ([a, b]) =>
        `${percent(share(() => changeOfRating(of(truth, a), of(truth, b))!.sure))} at ${a} against ${b}`,
    )
    const how = `${runs.toLocaleString('en')} samples of each size`
    return [
      {
        what: `Mean rating, ${name}: the interval holds the truth`,
        claimed: 'at least 95%',
        measured: covered.join(', '),
        how,
      },
      {
        what: `Two mean ratings, ${name}: surely different though nothing differs`,
        claimed: 'at most 5%',
        measured: wrong.join(', '),
        how,
      },
    ]
  })
}
