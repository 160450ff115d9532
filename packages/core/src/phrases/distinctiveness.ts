import gammaln from '@stdlib/math-base-special-gammaln'

/** A phrase stands in `front` of `fronts` entries, and in `back` of `backs` it is compared with. */
export interface Share {
  front: number
  fronts: number
  back: number
  backs: number
}

/**
 * How much more often than elsewhere, in standard deviations: the signed root of the likelihood ratio of two shares of
 * entries against one (Wilks 1938; for words, Dunning 1993). It grows with every entry that holds the phrase here and falls
 * with every one elsewhere, so that nothing tells more than what was never said before.
 *
 * @example distinctiveness({ front: 8, fronts: 100, back: 0, backs: 1000 }) // 6.24
 */
export function distinctiveness({ front, fronts, back, backs }: Share): number {
  if (!fronts || !backs) return 0
  const share = (front + back) / (fronts + backs)
  const part = (seen: number, of: number) => surplus(seen, of * share) + surplus(of - seen, of * (1 - share))
  const ratio = 2 * (part(front, fronts) + part(back, backs))
  return Math.sqrt(Math.max(0, ratio)) * (front / fronts >= back / backs ? 1 : -1)
}

const surplus = (seen: number, expected: number) => (seen ? seen * Math.log(seen / expected) : 0)

/**
 * The chance that a phrase said equally often in both stands in at least so many entries here, given how many hold it in all
 * and given that it was looked at, which needs `least` of them: hypergeometric, cut below `least`. Without that condition
 * the phrases looked at would be a choice of the lucky ones.
 *
 * @returns 0 to 1
 * @example chanceOf({ front: 3, fronts: 50, back: 0, backs: 500 }, 3) // 1: looked at, it could not stand in fewer
 */
export function chanceOf({ front, fronts, back, backs }: Share, least: number): number {
  const held = front + back
  if (front <= least || !backs) return 1
  const upTo = (count: number) => upperTail({ count, held, fronts, backs })
  return Math.min(1, upTo(front) / upTo(least))
}

const logChoose = (n: number, k: number) => gammaln(n + 1) - gammaln(k + 1) - gammaln(n - k + 1)

interface Drawn {
  count: number
  held: number
  fronts: number
  backs: number
}

/** P(at least `count` of the `held` entries lie among the `fronts`). */
function upperTail({ count, held, fronts, backs }: Drawn): number {
  const lowest = Math.max(0, held - backs)
  const highest = Math.min(held, fronts)
  if (count <= lowest) return 1
  if (count > highest) return 0
  const mean = (held * fronts) / (fronts + backs)
  const at = (j: number) =>
    Math.exp(logChoose(fronts, j) + logChoose(backs, held - j) - logChoose(fronts + backs, held))
  // Terms fall away from the mean on: summed from where they are largest, until they add nothing.
  let sum = 0
  if (count > mean) {
    let term = at(count)
    for (let j = count; j <= highest && term > sum * 1e-12; j++) {
      sum += term
      term *= ((fronts - j) * (held - j)) / ((j + 1) * (backs - held + j + 1))
    }
    return sum
  }
  let term = at(count - 1)
  for (let j = count - 1; j >= lowest && term > sum * 1e-12; j--) {
    sum += term
    term *= (j * (backs - held + j)) / ((fronts - j + 1) * (held - j + 1))
  }
  return 1 - sum
}

/**
 * How many of these chances may be told so that at most this share of what is told is told by accident (Benjamini and
 * Hochberg 1995).
 *
 * @param chances from the smallest on
 */
export function heldByRate(chances: readonly number[], rate: number): number {
  let held = 0
  chances.forEach((chance, i) => {
    if (chance <= (rate * (i + 1)) / chances.length) held = i + 1
  })
  return held
}
