export { changeLens, keepLens, listLenses, orderLenses, removeLens } from './keptLenses.ts'
export { lensCounts } from './lensCounts.ts'
