import type { EntryKind, Lens, Sentiment, ThreadState } from './lens.ts'
import { instantsOf } from './range.ts'
import { DateTime } from 'luxon'
import { foundByPhrase, foundByWords, phraseWords, searchWords } from './searchWords.ts'

/** What a lens looks at in an entry. */
export interface LensEntry {
  /** The latest incoming entry of its thread. */
  lead: boolean
  state: ThreadState
  kind: EntryKind
  channel: string
  place: number | null
  sentiment: Sentiment
  givenTo: number | null
  watches: readonly number[]
  language: string
  /** Ids of account and story. */
  voice: number | null
  story: number | null
  aspects: readonly { id: number; sentiment: 'positive' | 'neutral' | 'negative' | 'unread' }[]
  /** Ids of the thread's tags. */
  tags: readonly number[]
  kept: boolean
  /** As `placedWords` gave them. */
  words: readonly { word: string; position: number }[]
  /** Epoch milliseconds. */
  at: number
}

export interface LensContext {
  now: number
  /** IANA zone of the brand. */
  zone: string
  /** Id of the colleague who looks. */
  me: number
  /** When the first entry of all was written, epoch milliseconds: where "at any time" begins. */
  since?: number | null
  /** Ids of the watches of a group and of the groups in it. */
  watchesOf(group: number): readonly number[]
}

/** The lens as a test on entries; made once, applied to many. The SQL of the server chooses the same entries. */
export function lensPredicate(lens: Lens, context: LensContext): (entry: LensEntry) => boolean {
  const range = instantsOf(lens.range, context)
  const wanted = searchWords(lens.words)
  const phrase = phraseWords(lens.phrase)
  const group = lens.group === null ? null : context.watchesOf(lens.group)
  const is = <T>(asked: T | null, value: T | null) => asked === null || asked === value
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
    (group === null || entry.watches.some((id) => group.includes(id))) &&
    among(lens.languages, entry.language) &&
    is(lens.voice, entry.voice) &&
    is(lens.story, entry.story) &&
    isAbout(lens.aspect, entry.aspects) &&
    (lens.weekHour === null || lens.weekHour === weekHourOf(entry.at, context.zone)) &&
    isMarked(lens, entry) &&
    isWorded(entry.words, { phrase, wanted }) &&
    (range === null || (entry.at >= range.from && entry.at < range.to))
}

function isWorded(
  words: LensEntry['words'],
  { phrase, wanted }: { phrase: readonly string[]; wanted: readonly string[] },
): boolean {
  if (phrase.length && !foundByPhrase(words, phrase)) return false
  return foundByWords(
    words.map(({ word }) => word),
    wanted,
  )
}

/** What people put on it. */
const isMarked = (lens: Lens, entry: LensEntry): boolean =>
  (!lens.kept || entry.kept) && (lens.tags.length === 0 || lens.tags.some((tag) => entry.tags.includes(tag)))

function isAbout(asked: Lens['aspect'], aspects: LensEntry['aspects']): boolean {
  return (
    asked === null ||
    aspects.some(({ id, sentiment }) => id === asked.id && (asked.sentiment ?? sentiment) === sentiment)
  )
}

/** The hour of the local week an instant lies in, 0 (Monday, midnight) to 167. */
export function weekHourOf(at: number, zone: string): number {
  const local = DateTime.fromMillis(at, { zone })
  return (local.weekday - 1) * 24 + local.hour
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
