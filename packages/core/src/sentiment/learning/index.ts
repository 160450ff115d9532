export { applyModel } from './apply.ts'
export { taughtSentiments, type Lesson, type Model, type TaughtSentiment } from './train.ts'
export { learn, lessonsNeeded, settle, type Learning } from './validate.ts'
