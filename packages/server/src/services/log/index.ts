export { type Actor, record, recordAll } from './record.ts'
