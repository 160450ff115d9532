export {
  blankLens,
  isBlankBut,
  lensChannels,
  lensKinds,
  lensLimits,
  lensOrders,
  lensSentiments,
  lensStates,
  type EntryKind,
  type Lens,
  type LensOrder,
  type LensRange,
  type Sentiment,
  type ThreadState,
} from './lens.ts'
export { lensFields, parseLens, parseRange, printLens, printRange, type LensProblem } from './address.ts'
export { instantsOf, type Instants } from './range.ts'
export { foundByPhrase, foundByWords, phraseWords, searchWords } from './searchWords.ts'
export { lensPredicate, weekHourOf, type LensContext, type LensEntry } from './predicate.ts'
export { lensParts, type LensPart } from './sentence.ts'
