export { quietUntil, type QuietTime } from './quiet.ts'
