export {
  countPhrases,
  isTelling,
  keyOf as keyOfWords,
  WordNumbers,
  wordsOfKey,
  type NumberedDoc,
  type PhraseDoc,
} from './countPhrases.ts'
export {
  logOdds,
  tellingNumbered,
  tellingPhrases,
  type PhraseOptions,
  type TellingPhrase,
} from './tellingPhrases.ts'
export { isStopWord } from './stopWords.ts'
