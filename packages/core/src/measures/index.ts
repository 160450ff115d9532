export { bucketIndex, bucketLimit, bucketStarts, type BucketUnit } from './buckets.ts'
export {
  median,
  usualMinimum,
  usualRange,
  usualVerdict,
  type UsualRange,
  type UsualVerdict,
} from './usualRange.ts'
export { netSentiment, type NetSentiment } from './netSentiment.ts'
