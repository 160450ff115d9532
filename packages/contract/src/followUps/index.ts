export * from './answers.ts'
export * from './routes.ts'
export * from './schemas.ts'
