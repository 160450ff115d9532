export * from './answers.ts'
export * from './problems.ts'
export * from './routes.ts'
export * from './schemas.ts'
