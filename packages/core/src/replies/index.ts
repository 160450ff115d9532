export { amountOf, checkReply, type ReplyDoubt, type ReplySetting, type ReplyToCheck } from './checkReply.ts'
export {
  checkPattern,
  filledAtMost,
  fillPattern,
  patternKey,
  readPattern,
  renamedIn,
  signed,
  slotNames,
  textIn,
  type PatternPart,
  type PatternProblem,
  type PatternTexts,
  type SlotName,
  type SlotValues,
} from './patterns.ts'
export {
  formOf,
  formsOf,
  nearestTexts,
  nearFrom,
  type AskedNow,
  type AskedOnce,
  type Nearness,
  type WordCommonness,
} from './nearest.ts'
export { startFrom } from './startFrom.ts'
export { givenName, slotValues, type KnownInThread } from './slotValues.ts'
