export { applyModel } from './apply.ts'
export { taughtSentiments, type Lesson, type Model, type TaughtSentiment } from './train.ts'
export { learn, lessonsNeeded, settle, type Learning } from './validate.ts'
export {
  answerLessonsNeeded,
  applyAnswers,
  learnAnswers,
  type AnswerLesson,
  type AnswersLearning,
  type AnswersModel,
} from './answers.ts'
export { choosingDoubts, type Doubt } from './doubts.ts'
export { reliabilityOf, type Judged, type ReliabilityBin } from './reliability.ts'
export {
  aspectClausesNeeded,
  learnAlikeAspects,
  type AlikeAspect,
  type AlikeAspectLearning,
} from './alikeAspects.ts'
