export { compare } from './compare.ts'
export { exportWatches, importWatches } from './exchange.ts'
export { figures } from './figures.ts'
export { deleteGroup, listGroups, saveGroup } from './groups.ts'
export { knowTexts } from './knowTexts.ts'
export { phrases, phrasesOfLens } from './phrases.ts'
export { addPublicProfile, removePublicProfile } from './publicProfiles.ts'
export { rivals } from './rivals.ts'
export { lensAt } from './shownRange.ts'
export { isMissed, missedHours, missedOf, type Missed } from './outages.ts'
export { explainSpike, hourlySeries, spikes, spikesOf } from './spikes.ts'
export { watchSummaries } from './summaries.ts'
export { proposeWatches } from './startingHelp.ts'
export { markHits, tuneWatch } from './tuner.ts'
export { changeVoice, voiceCard, voices } from './voices.ts'
export {
  copyWatch,
  createWatch,
  deleteWatch,
  listWatches,
  pauseWatch,
  restoreWatch,
  updateWatch,
} from './watches.ts'
