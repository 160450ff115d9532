import { weightedShareQuantile } from './weightedShare.ts'

export interface NetSentiment {
  /** Positive share minus negative share, -1 to 1. */
  net: number
  /** 95% interval. */
  low: number
  high: number
  /** Entries it rests on; unread ones are left out. */
  n: number
  /** How many of them are independent voices, where that is known: the interval rests on these. */
  independent?: number
}

/** Of fewer entries a net sentiment is not worth a figure: the interval of four alike ones still spans most of the scale. */
export const netMinimum = 5

/** Outside each end of an interval of 95%. */
const tail = 0.025

/**
 * Positive share minus negative share, with its interval: at each end as far as it can be when one more entry had been
 * negative, or positive (Gaffke 2005, as of mean ratings). It holds for few entries and when nearly all say the same, and is
 * rather too wide than too narrow; see docs/statistics.md.
 *
 * @param independent how many of them are independent voices, 1 up to all of them (`independentEntries`)
 * @returns null when there is nothing that was read
 * @example netSentiment(50, 30, 20) // net 0.3, 0.13 to 0.454
 */
export function netSentiment(
  positive: number,
  neutral: number,
  negative: number,
  independent?: number | null,
): NetSentiment | null {
  const n = positive + neutral + negative
  if (n === 0) return null
  const part = (independent ?? n) / n
  const end = (p: number, morePositive: number) =>
    weightedShareQuantile(p, [
      { value: -1, weight: part * negative + 1 - morePositive },
      { value: 0, weight: part * neutral },
      { value: 1, weight: part * positive + morePositive },
    ])
  return {
    net: (positive - negative) / n,
    low: end(tail, 0),
    high: end(1 - tail, 1),
    n,
    ...(independent == null ? {} : { independent }),
  }
}
