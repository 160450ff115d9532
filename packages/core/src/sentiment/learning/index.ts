export { applyModel } from './apply.ts'
export { taughtSentiments, type Lesson, type Model, type TaughtSentiment } from './train.ts'
export { confirmedNeeded, learn, lessonsNeeded, settle, type Learning } from './validate.ts'
export { isDrawn } from './drawn.ts'
export { groupsOf, type Grouped } from './groups.ts'
export { enoughEvidence, testInTime, type TimeTest } from './testInTime.ts'
export {
  answerLessonsNeeded,
  applyAnswers,
  learnAnswers,
  type AnswerLesson,
  type AnswersLearning,
  type AnswersModel,
} from './answers.ts'
export { choosingDoubts, type Doubt } from './doubts.ts'
export { confidenceBin, reliabilityOf, type Judged, type ReliabilityBin } from './reliability.ts'
export {
  aspectClausesNeeded,
  learnAlikeAspects,
  type AlikeAspect,
  type AlikeAspectLearning,
} from './alikeAspects.ts'
