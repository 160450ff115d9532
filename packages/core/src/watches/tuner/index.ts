export { marksNeeded, precisionOf, type Precision } from './precision.ts'
export { precisionWanted, verdictOf, type TunerVerdict } from './verdict.ts'
export {
  proposeAdditions,
  proposeExclusions,
  type Addition,
  type Exclusion,
  type TunerDoc,
} from './proposals.ts'
export { spreadSample } from './sample.ts'
export { misspellings, startingTerms, type StartingBrand, type StartingWatch } from './startingTerms.ts'
