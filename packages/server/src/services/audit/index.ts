export { exportLog, logCsv, readLog } from './audit.ts'
