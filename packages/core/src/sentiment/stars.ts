import type { SentimentReading } from './readSentiment.ts'

/**
 * Whether the stars of a review and its words tell against each other: at most 2 stars with clearly glad words, or at
 * least 4 with clearly unhappy ones.
 *
 * @param rating 1 to 5
 */
export function starsContradict(
  rating: number,
  { label, confidence }: Pick<SentimentReading, 'label' | 'confidence'>,
): boolean {
  if (confidence < 0.5) return false
  return (rating <= 2 && label === 'positive') || (rating >= 4 && label === 'negative')
}

/** The label of a review: its words where they say something, otherwise its stars (1 or 2, 3, 4 or 5). */
export function labelOfReview(rating: number | null, reading: SentimentReading): SentimentReading['label'] {
  if (rating === null) return reading.label
  const ofStars = rating <= 2 ? 'negative' : rating >= 4 ? 'positive' : 'neutral'
  if (reading.label === 'unread' || reading.label === 'neutral' || reading.confidence < 0.4) return ofStars
  return reading.label
}
