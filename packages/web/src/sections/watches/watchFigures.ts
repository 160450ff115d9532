import type { SentimentCounts } from '@murrabel/contract'

/** A share of -1 to 1 in points of a hundred, with a true minus. */
export function points(value: number): string {
  const whole = Math.round(value * 100)
  return `${whole < 0 ? '−' : whole > 0 ? '+' : ''}${Math.abs(whole)}`
}

/** How many times as many: two figures are all that such a figure can bear. */
export const times = (ratio: number, number: (n: number) => string) =>
  number(ratio >= 10 ? Math.round(ratio) : Math.round(ratio * 10) / 10)

/** A share of 0 to 1 in percent. */
export const percent = (value: number) => `${Math.round(value * 100)}%`

export const totalOfCounts = ({ positive, neutral, negative, unread }: SentimentCounts) =>
  positive + neutral + negative + unread

/** The sentiment a net sentiment leans to; none where its interval holds 0. */
export function leaning(
  net: { low: number; high: number } | null,
): 'positive' | 'negative' | 'neutral' | 'unread' {
  if (!net) return 'unread'
  return net.low > 0 ? 'positive' : net.high < 0 ? 'negative' : 'neutral'
}

/** A small probability as people read it: "1 in 40,000". */
export function chance(p: number, number: (n: number) => string): string {
  if (p <= 0 || p < 1e-9) return `1 : ${number(1_000_000_000)}`
  const odds = 1 / p
  const size = 10 ** Math.max(0, Math.floor(Math.log10(odds)) - 1)
  return `1 : ${number(Math.floor(odds / size) * size)}`
}
