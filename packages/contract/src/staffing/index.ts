export * from './answers.ts'
