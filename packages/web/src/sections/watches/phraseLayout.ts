import { scaleLinear, scalePow } from 'd3'
import type { PhraseAnswer } from '@murrabel/contract'

export interface PlacedPhrase {
  phrase: PhraseAnswer
  /** Middle of the words, and their baseline. */
  x: number
  y: number
  size: number
  width: number
}

const smallest = 13
const largest = 30
/** Room for the sentiment's mark before the words. */
export const markWidth = 13
const gap = 6
/** How far a phrase may be moved from its place, in pixels, when others stand there. */
const asides = [0, 40, -40, 80, -80, 120, -120]
/** Left free for the words at the ends. */
const endLine = 18

/**
 * Puts phrases on a field from sour to sweet: left and right by net sentiment, size by how distinctive, and as near to the
 * middle line as there is room. The most distinctive are placed first; one that finds no room is left to the table.
 *
 * @param measure width of words at a size, in pixels
 */
export function placePhrases(
  phrases: readonly PhraseAnswer[],
  {
    width,
    height,
    measure,
  }: { width: number; height: number; measure: (text: string, size: number) => number },
): PlacedPhrase[] {
  const told = phrases.filter((p) => p.net !== null)
  if (!told.length || width < 120) return []
  const most = Math.max(...told.map((p) => p.z))
  const least = Math.min(...told.map((p) => p.z))
  const size = scalePow()
    .exponent(0.6)
    .domain([least, Math.max(most, least + 1)])
    .range([smallest, largest])
  const x = scaleLinear()
    .domain([-1, 1])
    .range([8, width - 8])
    .clamp(true)
  const placed: PlacedPhrase[] = []
  for (const phrase of [...told].sort((a, b) => b.z - a.z)) {
    const points = Math.round(size(phrase.z))
    const own = measure(phrase.text, points) + markWidth
    for (const aside of asides) {
      const middle = Math.min(width - own / 2 - 2, Math.max(own / 2 + 2, x(leaningOf(phrase)) + aside))
      const spot = freeLine(placed, { x: middle, width: own, size: points }, height)
      if (spot === null) continue
      placed.push({ phrase, x: middle, y: spot, size: points, width: own })
      break
    }
  }
  return placed
}

/** Net sentiment drawn to the middle as if four more had been neutral: three entries of one sentiment are no extreme. */
const leaningOf = ({ net }: PhraseAnswer) => (net!.net * net!.n) / (net!.n + 4)

/** The free baseline nearest to the middle of the field; null when there is none. */
function freeLine(
  placed: readonly PlacedPhrase[],
  { x, width, size }: { x: number; width: number; size: number },
  height: number,
): number | null {
  const half = height / 2
  for (let step = 0; step * 4 < height; step++)
    for (const way of step ? [1, -1] : [1]) {
      const top = half + way * step * 4 - size / 2
      if (top < 2 || top + size + gap > height - endLine) continue
      const clear = placed.every(
        (other) =>
          Math.abs(other.x - x) > (other.width + width) / 2 + 8 ||
          top + size + gap <= other.y - other.size * 0.85 ||
          top >= other.y + gap,
      )
      if (clear) return top + size * 0.85
    }
  return null
}
