import { readMeaning, type MeaningOptions } from '../meaning/readMeaning.ts'
import type { SentimentReading } from './types.ts'

/** Languages whose texts are read; of any other only emoji are. */
export { meaningLanguages as readLanguages } from '../meaning/readMeaning.ts'

/**
 * Reads how a text feels: the sentiment part of `readMeaning`.
 *
 * @returns `unread` when the language is not read and no emoji says anything, or there is no word at all; that is not
 *   `neutral`
 * @example readSentiment('Not bad at all').sentiment === 'positive'
 */
export function readSentiment(text: string, options: MeaningOptions = {}): SentimentReading {
  const { label, ...rest } = readMeaning(text, options).sentiment
  return { sentiment: label, ...rest }
}
