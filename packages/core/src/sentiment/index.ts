export { readLanguages, readSentiment } from './readSentiment.ts'
export type { MeaningOptions as SentimentOptions } from '../meaning/readMeaning.ts'
export type { Aspect, Sentiment, SentimentReading, SentimentSpan } from './types.ts'
export type { OwnWord } from './lists/idioms.ts'
export {
  compileAspects,
  sentimentOfAspects,
  readAspects,
  type AspectReading,
  type CompiledAspects,
} from './aspects.ts'
export { sentimentOfStars, starsContradict } from './stars.ts'
export { senseOfWord, type WordSense } from './lists/opinion.ts'
