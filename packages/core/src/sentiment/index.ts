export {
  readLanguages,
  readSentiment,
  type SentimentLabel,
  type SentimentOptions,
  type SentimentReading,
  type SentimentSpan,
} from './readSentiment.ts'
export type { OwnWord } from './idioms.ts'
export { readAspects, type Aspect, type AspectReading } from './aspects.ts'
export { labelOfReview, starsContradict } from './stars.ts'
