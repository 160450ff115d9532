export { weekAhead } from './weekAhead.ts'
