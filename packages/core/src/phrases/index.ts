export {
  countPhrases,
  hasContentWord,
  keyOf as keyOfWords,
  WordNumbers,
  wordsOfKey,
  type NumberedDoc,
  type PhraseDoc,
} from './countPhrases.ts'
export {
  distinctiveNumbered,
  distinctivePhrases,
  type PhraseOptions,
  type DistinctivePhrase,
} from './distinctivePhrases.ts'
export { isStopWord } from './stopWords.ts'
