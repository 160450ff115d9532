import { betaQuantile } from '../../measures/index.ts'

export interface Precision {
  /** Hits marked on topic, and all marked. */
  onTopic: number
  marked: number
  /** Middle of the posterior, 0 to 1. */
  value: number
  /** 90% interval. */
  low: number
  high: number
  /** Too few marks to speak of: under `marksNeeded`. */
  tooFew: boolean
}

export const marksNeeded = 10

/**
 * Share of a watch's hits that are on topic, from the marks of a person: posterior under a Beta(1, 1) prior, with its
 * 90% interval.
 *
 * @example precisionOf(9, 10) // value 0.83, 0.64 to 0.97
 */
export function precisionOf(onTopic: number, marked: number): Precision {
  const a = 1 + onTopic
  const b = 1 + marked - onTopic
  return {
    onTopic,
    marked,
    value: a / (a + b),
    low: betaQuantile(0.05, a, b),
    high: betaQuantile(0.95, a, b),
    tooFew: marked < marksNeeded,
  }
}
