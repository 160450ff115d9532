export { act } from './act.ts'
export { confirmOwn } from './confirmOwn.ts'
export { cancelAction, profileOwner, retryAction } from './decide.ts'
export { reply } from './reply.ts'
