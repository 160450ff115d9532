export {
  readLanguages,
  readSentiment,
  type Sentiment,
  type SentimentOptions,
  type SentimentReading,
  type SentimentSpan,
} from './readSentiment.ts'
export type { OwnWord } from './idioms.ts'
export {
  compileAspects,
  sentimentOfAspects,
  readAspects,
  type Aspect,
  type AspectReading,
  type CompiledAspects,
} from './aspects.ts'
export { sentimentOfReview, starsContradict } from './stars.ts'
