export { watchLimits, type NearPair, type Term, type WatchDoc, type WatchQuery } from './query.ts'
export { compileWatches, type CompiledWatches, type HitSpan, type WatchHit } from './compile.ts'
export { checkQuery, type QueryProblem, type QueryProblemCode } from './check.ts'
export { explain, type Explanation, type Reason } from './explain.ts'
