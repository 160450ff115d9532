export { changeAbsence, coverThreads, endAbsence, listAbsences, setAbsence } from './absences.ts'
export { shareOutThreads, type Takers } from './shareOutThreads.ts'
export { addTeam, changeTeam, removeTeam } from './teams.ts'
