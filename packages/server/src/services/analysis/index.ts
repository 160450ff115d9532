export { createAnalysis, storeAspects } from './analyse.ts'
export { type EntrySentiment, readEntrySentiment, storedSpans } from './readEntry.ts'
export { type Teaching, loadTeaching } from './teachingBook.ts'
export { runWatchHistories } from './watchHistory.ts'
