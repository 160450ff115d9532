export { exportPeople, peopleCsv, vcardsOf } from './exportPeople.ts'
export { joinPeople, keepApart, undoJoin } from './joins.ts'
export { askAllToMeet, askToMeet, meetPeople } from './meet.ts'
export { addWay, changePerson, changeWay, listPeople, personCard, proposals, removeWay } from './people.ts'
