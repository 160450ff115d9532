export * from './answers.ts'
export * from './kinds.ts'
