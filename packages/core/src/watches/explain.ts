import { compileWatches, type HitSpan } from './compile.ts'
import type { Term, WatchDoc, WatchQuery } from './query.ts'

export interface Explanation {
  matched: boolean
  spans: HitSpan[]
  /** What was asked for and is not there, and what was excluded and is there; empty when it matched. */
  reasons: Reason[]
}

export type Reason =
  | { kind: 'anyMissing' }
  | { kind: 'allMissing'; term: string }
  | { kind: 'noneFound'; term: string }
  | { kind: 'nearMissing'; first: string; second: string }
  | { kind: 'channel' | 'language' | 'voice' | 'nothingAsked' }

const hits = (part: Omit<WatchQuery, 'id'>, doc: WatchDoc) =>
  compileWatches([{ id: 0, ...part }]).match(doc).length > 0
const finds = (term: Term, doc: WatchDoc) => hits({ anyOf: [term] }, doc)

/** Says why a watch did or did not match a text: every condition is tried by itself. */
export function explain(doc: WatchDoc, watch: WatchQuery): Explanation {
  const [hit] = compileWatches([watch]).match(doc)
  if (hit) return { matched: true, spans: hit.spans, reasons: [] }
  const reasons: Reason[] = []
  const { anyOf = [], allOf = [], noneOf = [], near = [], links = [], channels, languages, voices } = watch
  if (!anyOf.length && !allOf.length && !near.length && !links.length) reasons.push({ kind: 'nothingAsked' })
  if ((anyOf.length || links.length) && !hits({ anyOf, links }, doc)) reasons.push({ kind: 'anyMissing' })
  for (const term of allOf) if (!finds(term, doc)) reasons.push({ kind: 'allMissing', term: term.text })
  for (const term of noneOf) if (finds(term, doc)) reasons.push({ kind: 'noneFound', term: term.text })
  for (const pair of near)
    if (!hits({ near: [pair] }, doc))
      reasons.push({ kind: 'nearMissing', first: pair.first.text, second: pair.second.text })
  const open: WatchQuery = { id: 0, anyOf, allOf, noneOf, near, links }
  if (!reasons.length) {
    if (!hits({ ...open, channels }, doc)) reasons.push({ kind: 'channel' })
    if (!hits({ ...open, languages }, doc)) reasons.push({ kind: 'language' })
    if (!hits({ ...open, voices }, doc)) reasons.push({ kind: 'voice' })
  }
  return { matched: false, spans: [], reasons }
}
