export {
  readLanguages,
  readSentiment,
  type SentimentLabel,
  type SentimentOptions,
  type SentimentReading,
  type SentimentSpan,
} from './readSentiment.ts'
export type { OwnWord } from './idioms.ts'
export {
  compileAspects,
  feltAboutAspects,
  readAspects,
  type Aspect,
  type AspectReading,
  type CompiledAspects,
} from './aspects.ts'
export { labelOfReview, starsContradict } from './stars.ts'
