import type { SentimentReading } from './readSentiment.ts'

/**
 * Whether the stars of a review and its words tell against each other: at most 2 stars with clearly glad words, or at
 * least 4 with clearly unhappy ones.
 *
 * @param rating 1 to 5
 * @example starsContradict(5, readSentiment('Terrible, never again.')) // true
 */
export function starsContradict(
  rating: number,
  { sentiment, confidence }: Pick<SentimentReading, 'sentiment' | 'confidence'>,
): boolean {
  if (confidence < 0.5) return false
  return (rating <= 2 && sentiment === 'positive') || (rating >= 4 && sentiment === 'negative')
}

/** The sentiment of a review: its words where they say something, otherwise its stars (1 or 2, 3, 4 or 5). */
export function sentimentOfReview(
  rating: number | null,
  reading: SentimentReading,
): SentimentReading['sentiment'] {
  if (rating === null) return reading.sentiment
  const ofStars = rating <= 2 ? 'negative' : rating >= 4 ? 'positive' : 'neutral'
  if (reading.sentiment === 'unread' || reading.sentiment === 'neutral' || reading.confidence < 0.4)
    return ofStars
  return reading.sentiment
}
