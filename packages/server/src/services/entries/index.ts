export { correctMany, correctSentiment } from './correct.ts'
export { csvOf, exportRows, feedItemOf, safeCell } from './export.ts'
export { countEntries, listEntries, tideOf } from './list.ts'
