import type { Sentiment, SentimentReading } from './types.ts'

/**
 * Whether the stars of a review and its words tell against each other: at most 2 stars with clearly glad words, or at
 * least 4 with clearly unhappy ones.
 *
 * @param rating 1 to 5
 * @param words what the words say by themselves
 * @example starsContradict(5, readSentiment('Terrible, never again.')) // true
 */
export function starsContradict(
  rating: number,
  { sentiment, confidence }: Pick<SentimentReading, 'sentiment' | 'confidence'>,
): boolean {
  if (confidence < 0.7) return false
  return (rating <= 2 && sentiment === 'positive') || (rating >= 4 && sentiment === 'negative')
}

/** What stars say by themselves: 1 or 2, 3, 4 or 5. */
export const sentimentOfStars = (rating: number): Sentiment =>
  rating <= 2 ? 'negative' : rating >= 4 ? 'positive' : 'neutral'
