export {
  applyThreadEvent,
  giveThread,
  lockThread,
  positionOf,
  unchanged,
  undoThreadEvent,
  wakeThread,
  writeChange,
} from './change.ts'
export { businessHoursOf, leadsOf, refreshThreads } from './refresh.ts'
export { handOffThread, takeBackHandOff } from './handOff.ts'
export { seenBy } from './seenBy.ts'
export { keepEntries, listTags, namedTags, tagThreads } from './tags.ts'
export { tellWriting } from './tellWriting.ts'
export { threadAnswer } from './threadAnswer.ts'
