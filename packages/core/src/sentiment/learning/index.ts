export { applyModel } from './apply.ts'
export { taughtLabels, type Lesson, type Model, type TaughtLabel } from './train.ts'
export { learn, lessonsNeeded, settle, type Learning } from './validate.ts'
