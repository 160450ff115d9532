export { checkAnswer } from './checkReply.ts'
export { changePattern, keepPattern, listPatterns, removePattern } from './patterns.ts'
export { changeSignOff, keepSignOff, listSignOffs, removeSignOff } from './signOffs.ts'
export { replyStarts } from './starts.ts'
