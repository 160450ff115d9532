import type { SentimentReading } from '../types.ts'
import { featuresOf } from './features.ts'

export type TaughtSentiment = 'positive' | 'neutral' | 'negative'
export const taughtSentiments: readonly TaughtSentiment[] = ['negative', 'neutral', 'positive']

export interface Lesson {
  text: string
  /** What the base reading says. */
  base: Pick<SentimentReading, 'shares' | 'sentiment'>
  /** What the person said; of what was left as it was, the base reading. */
  sentiment: TaughtSentiment
  /**
   * How it came to be judged: put right where somebody met it; drawn by chance and shown to be judged right or wrong; chosen for
   * its doubt and shown; or left as it was by whoever answered or finished it. Default: put right.
   */
  how?: 'putRight' | 'drawn' | 'doubted' | 'left'
  /** Who wrote the text, where that is known. */
  author?: number | null
  /** When it was judged, epoch milliseconds. Default: in the order given. */
  at?: number
  /** Of what was left as it was: it had been drawn to be asked about. */
  asked?: boolean
  /** How much it counts when what was learnt is judged, 0 to 1. Default 1. */
  weight?: number
}

export interface Model {
  /** Weights by feature for negative, neutral, positive. */
  weights: Record<string, [number, number, number]>
}

/** Pull of each weight towards 0: a single correction moves a word a little, several move it far. */
const ridge = 0.1
const rounds = 60
const rate = 0.5
/** A feature seen in fewer lessons is chance. */
const leastLessons = 2
/** So far from what the base reading has it lies what a word tells: chance alone leads there once in some hundred words. */
const leastZ = 3
/** What nobody put right is mostly right. */
const leftShare = 0.7
/** No more of it is looked at than this many times what was judged; each stands for as many as there are. */
const leftTimes = 3
/** A base reading is never believed more than this far, so that corrections can move it. */
const leastShare = 0.03

/** Log-odds of the three labels by the base reading alone. */
export function baseLogits({ shares, sentiment }: Lesson['base']): [number, number, number] {
  if (sentiment === 'unread') return [0, 0, 0]
  const [negative, neutral, positive] = shares
  const logOf = (share: number) => Math.log(Math.max(leastShare, share))
  return [logOf(negative), logOf(neutral), logOf(positive)]
}

export function softmax(logits: readonly [number, number, number]): [number, number, number] {
  const most = Math.max(...logits)
  const parts = logits.map((l) => Math.exp(l - most)) as [number, number, number]
  const sum = parts[0] + parts[1] + parts[2]
  return [parts[0] / sum, parts[1] / sum, parts[2] / sum]
}

/**
 * Multinomial logistic regression over words and word pairs, on top of the base reading as a fixed offset, with a ridge
 * penalty. Gradient descent with AdaGrad steps (Duchi, Hazan and Singer 2011) over all lessons at once: no randomness, so
 * that the same lessons in any order give the same model.
 */
export function train(given: readonly Lesson[]): Model {
  const { lessons, leftWeight } = learntFrom(given)
  const each = lessons.map(({ text }) => featuresOf(text).map(({ name }) => name))
  const kept = tellingFeatures(lessons, each, leftWeight)
  const number = new Map(kept.map((name, i) => [name, i]))
  const rows = each
    .map((names, i) => ({
      lesson: lessons[i]!,
      features: names.flatMap((name) => number.get(name) ?? []).sort((a, b) => a - b),
    }))
    // Sums of floating-point numbers depend on their order; this makes it the same for the same lessons.
    .sort((a, b) =>
      a.lesson.text < b.lesson.text
        ? -1
        : a.lesson.text > b.lesson.text
          ? 1
          : a.lesson.sentiment < b.lesson.sentiment
            ? -1
            : 1,
    )
  const weights = new Float64Array(kept.length * 3)
  const squares = new Float64Array(kept.length * 3).fill(1e-8)
  const gradient = new Float64Array(kept.length * 3)
  for (let round = 0; round < rounds; round++) {
    gradient.forEach((_, k) => (gradient[k] = ridge * weights[k]!))
    for (const { lesson, features } of rows) {
      const logits = baseLogits(lesson.base)
      for (const f of features) for (let k = 0; k < 3; k++) logits[k]! += weights[f * 3 + k]!
      const shares = softmax(logits)
      const counts = lesson.how === 'left' ? leftWeight : 1
      for (let k = 0; k < 3; k++) {
        const miss = counts * (shares[k]! - (taughtSentiments[k] === lesson.sentiment ? 1 : 0))
        for (const f of features) gradient[f * 3 + k]! += miss / Math.sqrt(features.length)
      }
    }
    for (let k = 0; k < weights.length; k++) {
      squares[k]! += gradient[k]! ** 2
      weights[k]! -= (rate * gradient[k]!) / Math.sqrt(squares[k]!)
    }
  }
  const model: Model = { weights: {} }
  kept.forEach((name, i) => {
    const three = [weights[i * 3]!, weights[i * 3 + 1]!, weights[i * 3 + 2]!].map(
      (w) => Math.round(w * 1e4) / 1e4,
    ) as [number, number, number]
    if (three.some((w) => Math.abs(w) > 0.02)) model.weights[name] = three
  })
  return model
}

/**
 * Features that say more than the base reading: in what was judged and left, one of the moods comes so much oftener with them, or
 * so much more rarely, than the base reading's shares have it, that chance hardly explains it (z of the sum of residuals).
 */
function tellingFeatures(
  lessons: readonly Lesson[],
  each: readonly string[][],
  leftWeight: number,
): string[] {
  const sums = new Map<
    string,
    { judged: number; residual: [number, number, number]; variance: [number, number, number] }
  >()
  lessons.forEach((lesson, i) => {
    const shares = softmax(baseLogits(lesson.base))
    const isLeft = lesson.how === 'left'
    const weight = isLeft ? leftWeight : 1
    for (const name of each[i]!) {
      let sum = sums.get(name)
      if (!sum) sums.set(name, (sum = { judged: 0, residual: [0, 0, 0], variance: [0, 0, 0] }))
      if (!isLeft) sum.judged++
      taughtSentiments.forEach((mood, k) => {
        sum.residual[k]! += weight * (Number(lesson.sentiment === mood) - shares[k]!)
        sum.variance[k]! += weight ** 2 * shares[k]! * (1 - shares[k]!)
      })
    }
  })
  return [...sums]
    .filter(
      ([, { judged, residual, variance }]) =>
        judged >= leastLessons &&
        residual.some((sum, k) => Math.abs(sum) >= leastZ * Math.sqrt(variance[k]!)),
    )
    .map(([name]) => name)
    .sort()
}

/** What was judged, and some of what was left, spread evenly over all of it, with the weight of all: what is put right is the exception. */
function learntFrom(given: readonly Lesson[]): { lessons: readonly Lesson[]; leftWeight: number } {
  const left = given.filter(({ how }) => how === 'left').sort((a, b) => (a.text < b.text ? -1 : 1))
  const judged = given.filter(({ how }) => how !== 'left')
  const most = Math.min(left.length, leftTimes * judged.length)
  const some = Array.from({ length: most }, (_, i) => left[Math.floor((i * left.length) / most)]!)
  return { lessons: [...judged, ...some], leftWeight: most ? (leftShare * left.length) / most : 0 }
}
