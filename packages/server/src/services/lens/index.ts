export { lensContext, lensOf } from './askedLens.ts'
export { idsPart, wholePart, wrongPart } from './askedParts.ts'
export { fillBuckets } from './tideBuckets.ts'
export { questionKey } from './questionKey.ts'
