export {
  cleanInstant,
  cleanLine,
  cleanNumber,
  cleanText,
  cleanUrl,
  originOf,
  cutText,
  earliest,
  isBlank,
} from './clean.ts'
export { CharClass, charClassAt, unitsAt } from './charClass.ts'
export { foldAccents, foldCase } from './fold.ts'
export { normalise, type Normalised } from './normalise.ts'
export { isSoftGap, tokenise, type Token, type TokenKind } from './tokenise.ts'
export { splitSentences, type Sentence } from './sentences.ts'
export { canonicalLink, linkUnder } from './links.ts'
export { isPublicSuffix } from './publicSuffix.ts'
export { detectLanguage, loadLanguages } from './language.ts'
export { isAnswerSubject, joinOwnTitle, joinTitle, spansOfText, spansOfTitle, subjectCore } from './titled.ts'
export { phrasePlaces, placedWords, type PlacedWord } from './placedWords.ts'
export { shortened } from './shortened.ts'
