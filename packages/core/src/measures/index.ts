export { bucketIndex, bucketLimit, bucketStarts, daysBefore, type BucketUnit } from './buckets.ts'
export {
  median,
  readUsual,
  usualChance,
  usualMinimum,
  usualOf,
  type Usual,
  type UsualReading,
  type UsualVerdict,
} from './usualRange.ts'
export { falseDiscoveries, heldTogether } from './heldTogether.ts'
export { independentEntries, type Clusters, type ClusterSums } from './independence.ts'
export { netMinimum, netSentiment, type NetSentiment } from './netSentiment.ts'
export { betaQuantile, betaShare, gammaPoissonTail, normalTail } from './distributions.ts'
export { changeOfRating, meanRating, type RatingMean } from './rating.ts'
export { poissonOf, randomFrom, type Random } from './random.ts'
export { share, shareOfVoice, type Share } from './shareOfVoice.ts'
export { direction, directionMinimum, type Direction, type DirectionVerdict } from './direction.ts'
export {
  changeOfCount,
  changeOfNet,
  changeOfShare,
  bunchingOf,
  bunchingOfRows,
  changeMinimum,
  type Bunching,
  type Change,
  type RateChange,
} from './change.ts'
export {
  readVoice,
  type VoiceCounts,
  type VoiceHabit,
  type VoiceLeaning,
  type VoiceReading,
} from './voices.ts'
export { findSpikes, joinSpikes, spikeDefaults, type Spike, type SpikeOptions } from './spikes.ts'
