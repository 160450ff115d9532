export { correctMany, correctSentiment } from './correct.ts'
export { csvOf, exportRows, feedItemOf } from './export.ts'
export { countEntries, listEntries, tideOf } from './list.ts'
