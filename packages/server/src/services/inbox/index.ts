export {
  applyThreadEvent,
  giveThread,
  lockThread,
  positionOf,
  readThread,
  unchanged,
  undoThreadEvent,
  wakeThread,
  writeChange,
} from './change.ts'
export { hoursOf, leadsOf, refreshThreads } from './refresh.ts'
export { seenBy } from './seenBy.ts'
export { keepEntries, listTags, tagThreads } from './tags.ts'
export { threadAnswer } from './threadAnswer.ts'
