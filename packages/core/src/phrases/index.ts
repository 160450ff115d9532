export {
  countPhrases,
  isTelling,
  keyOf as keyOfWords,
  WordNumbers,
  wordsOfKey,
  type PhraseDoc,
} from './countPhrases.ts'
export { logOdds, tellingPhrases, type PhraseOptions, type TellingPhrase } from './tellingPhrases.ts'
export { isStopWord } from './stopWords.ts'
