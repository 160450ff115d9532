export * from './answers.ts'
export * from './events.ts'
export * from './schemas.ts'
