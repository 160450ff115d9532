export { erasePerson } from './erase.ts'
export { askHandOut, handOut, listRequests } from './handOut.ts'
