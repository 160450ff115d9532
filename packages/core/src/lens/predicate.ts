import type { EntryKind, Lens, LensSentiment, ThreadState } from './lens.ts'
import { instantsOf } from './range.ts'
import { foundByWords, searchWords } from './searchWords.ts'

/** What a lens looks at in an entry. */
export interface LensEntry {
  /** The latest incoming entry of its thread. */
  lead: boolean
  state: ThreadState
  kind: EntryKind
  channel: string
  place: number | null
  sentiment: LensSentiment
  givenTo: number | null
  watches: readonly number[]
  /** As `searchWords` gave them. */
  words: readonly string[]
  /** Epoch milliseconds. */
  at: number
}

export interface LensContext {
  now: number
  /** IANA zone of the brand. */
  zone: string
  /** Id of the colleague who looks. */
  me: number
}

/** The lens as a test on entries; made once, applied to many. The SQL of the server chooses the same entries. */
export function lensPredicate(lens: Lens, context: LensContext): (entry: LensEntry) => boolean {
  const range = instantsOf(lens.range, context)
  const wanted = searchWords(lens.words)
  const among = <T>(list: readonly T[], value: T | null) =>
    list.length === 0 || (value !== null && list.includes(value))
  return (entry) =>
    (lens.unit === 'entries' || entry.lead) &&
    (lens.state === 'any' || entry.state === lens.state) &&
    among(lens.kinds, entry.kind) &&
    among(lens.channels, entry.channel) &&
    among(lens.places, entry.place) &&
    among(lens.sentiments, entry.sentiment) &&
    isGiven(lens.givenTo, entry.givenTo, context.me) &&
    (lens.watch === null || entry.watches.includes(lens.watch)) &&
    foundByWords(entry.words, wanted) &&
    (range === null || (entry.at >= range.from && entry.at < range.to))
}

function isGiven(wanted: Lens['givenTo'], to: number | null, me: number): boolean {
  switch (wanted) {
    case 'anybody':
      return true
    case 'nobody':
      return to === null
    case 'me':
      return to === me
    case 'meOrNobody':
      return to === null || to === me
    default:
      return to === wanted
  }
}
