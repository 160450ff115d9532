import { between, type Ranged } from '../src/measures/change.ts'
import { meanRating, netSentiment } from '../src/measures/index.ts'
import { drawing, percent, rate, remembered, sample, type SimulatedFigure } from './figure.ts'

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

const meanOf = remembered((stars) => meanRating(stars)!)
const netOf = remembered(([positive, neutral, negative]) => netSentiment(positive!, neutral!, negative!)!)

interface Averaged {
  of: string
  ofTwo: string
  truths: Record<string, readonly number[]>
  /** What each kind counts. */
  values: readonly number[]
  read: (counts: readonly number[]) => Ranged
}

const ratings: Averaged = {
  of: 'Mean rating',
  ofTwo: 'Two mean ratings',
  truths,
  values: [1, 2, 3, 4, 5],
  read: (stars) => ({ ...meanOf(stars), value: meanOf(stars).mean }),
}

const nets: Averaged = {
  of: 'Net sentiment',
  ofTwo: 'Two net sentiments',
  truths: {
    'of all kinds': [0.3, 0.5, 0.2],
    'nearly all neutral': [0.03, 0.96, 0.01],
    'nearly all positive': [0.96, 0.03, 0.01],
    'half positive, half negative': [0.5, 0, 0.5],
    'mostly negative': [0.1, 0.2, 0.7],
  },
  values: [1, 0, -1],
  read: (counts) => ({ ...netOf(counts), value: netOf(counts).net }),
}

/** Mean ratings and net sentiments: how often the interval holds the truth, and how often two of the same are called surely different. */
export const ratingFigures = (runs?: number) => averageFigures(ratings, runs)
export const netFigures = (runs?: number) => averageFigures(nets, runs)

function averageFigures({ of, ofTwo, truths: all, values, read }: Averaged, runs = 2000): SimulatedFigure[] {
  const draw = drawing(8)
  const drawn = (truth: readonly number[], n: number) => ({ ...read(sample(truth, n, draw)), n })
  return Object.entries(all).flatMap(([name, truth]) => {
    const mean = truth.reduce((sum, part, i) => sum + part * values[i]!, 0)
    const covered = sizes.map((n) => {
      const held = rate(runs, () => {
        const { low, high } = drawn(truth, n)
        return low <= mean + 1e-6 && mean <= high + 1e-6
      })
      return `${percent(held)} at ${n}`
    })
    const wrong = pairs.map(
      ([a, b]) =>
        `${percent(rate(runs, () => between(drawn(truth, a), drawn(truth, b))!.sure))} at ${a} against ${b}`,
    )
    const how = `${runs.toLocaleString('en')} samples of each size`
    return [
      {
        what: `${of}, ${name}: the interval holds the truth`,
        claimed: 'at least 95%',
        measured: covered.join(', '),
        how,
      },
      {
        what: `${ofTwo}, ${name}: surely different though nothing differs`,
        claimed: 'at most 5%',
        measured: wrong.join(', '),
        how,
      },
    ]
  })
}
