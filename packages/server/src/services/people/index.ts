export { knownAgain, takeCustomers, type Customer } from './customers.ts'
export { takeFromProgram } from './fromProgram.ts'
export { exportPeople, peopleCsv, vcardsOf } from './exportPeople.ts'
export { joinPeople, keepApart, undoApart, undoJoin } from './joins.ts'
export { askAllToMeet, askToMeet, meetPeople } from './meet.ts'
export {
  addPerson,
  addWay,
  changePerson,
  changeWay,
  countPeople,
  listPeople,
  personCard,
  proposals,
  removeWay,
} from './people.ts'
export { addVisit, changeVisit, removeVisit, sayVisit, threadVisits } from './visits.ts'
