export { doubtsAnswer, saveDoubtBelow } from './doubts.ts'
export { askAllToLearn, askToLearn, learnAfterMs, learnFromCorrections, learnWhenRested } from './learning.ts'
export { rereadHistory } from './rereadHistory.ts'
export { saveAspects, saveWords, teachingAnswer, tryReading, wantLearning } from './teaching.ts'
