import type { SentimentReading } from '../types.ts'
import { featuresOf } from './features.ts'

export type TaughtSentiment = 'positive' | 'neutral' | 'negative'
export const taughtSentiments: readonly TaughtSentiment[] = ['negative', 'neutral', 'positive']

export interface Lesson {
  text: string
  /** What the base reading says. */
  base: Pick<SentimentReading, 'shares' | 'sentiment'>
  /** What the person said. */
  sentiment: TaughtSentiment
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
export function train(lessons: readonly Lesson[]): Model {
  const seen = new Map<string, number>()
  const each = lessons.map(({ text }) => featuresOf(text).map(({ name }) => name))
  for (const names of each) for (const name of names) seen.set(name, (seen.get(name) ?? 0) + 1)
  const kept = [...seen]
    .filter(([, n]) => n >= leastLessons)
    .map(([name]) => name)
    .sort()
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
      for (let k = 0; k < 3; k++) {
        const miss = shares[k]! - (taughtSentiments[k] === lesson.sentiment ? 1 : 0)
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
