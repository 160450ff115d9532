import type { SentimentReading, SentimentSpan } from '../types.ts'
import { featuresOf } from './features.ts'
import { baseLogits, softmax, taughtSentiments, type Lesson, type Model } from './train.ts'

/** The reading of a text after what was learnt: the base reading where no learnt word stands in it. */
export function applyModel(text: string, base: SentimentReading, model: Model): SentimentReading {
  const logits = baseLogits(base)
  const learnt: SentimentSpan[] = []
  for (const { name, start, end } of featuresOf(text)) {
    const weights = Object.hasOwn(model.weights, name) ? model.weights[name]! : null
    if (!weights) continue
    for (let k = 0; k < 3; k++) logits[k]! += weights[k]!
    const contribution = weights[2] - weights[0]
    if (Math.abs(contribution) >= 0.05) learnt.push({ start, end, contribution })
  }
  const shares = softmax(logits)
  const best = shares.indexOf(Math.max(...shares))
  const sentiment = taughtSentiments[best]!
  if (!learnt.length && sentiment === base.sentiment) return base
  if (!learnt.length && base.sentiment === 'unread') return base
  const spans = [...base.spans, ...learnt].sort((a, b) => a.start - b.start || a.end - b.end)
  return { score: shares[2] - shares[0], sentiment, confidence: shares[best]!, spans, shares }
}

/** Label of a lesson's text under a model; what cross-validation counts. */
export function sentimentBy(lesson: Pick<Lesson, 'text' | 'base'>, model: Model): Lesson['sentiment'] {
  const logits = baseLogits(lesson.base)
  for (const { name } of featuresOf(lesson.text)) {
    const weights = Object.hasOwn(model.weights, name) ? model.weights[name]! : null
    if (weights) for (let k = 0; k < 3; k++) logits[k]! += weights[k]!
  }
  return taughtSentiments[logits.indexOf(Math.max(...logits))]!
}
