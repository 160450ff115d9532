export { meaningLanguages, readMeaning, type MeaningOptions, type MeaningReading } from './readMeaning.ts'
export { wishes, type Wish } from './model.ts'
export type { TextKind } from './features.ts'
export { textKindOf } from './textKind.ts'
