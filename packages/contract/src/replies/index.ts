export * from './answers.ts'
export * from './schemas.ts'
