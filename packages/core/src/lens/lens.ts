export const lensKinds = ['review', 'comment', 'message', 'question', 'mention'] as const
export type EntryKind = (typeof lensKinds)[number]

export const lensStates = ['open', 'waiting', 'aside', 'done'] as const
export type ThreadState = (typeof lensStates)[number]

export const lensSentiments = ['positive', 'neutral', 'negative', 'unread'] as const
export type Sentiment = (typeof lensSentiments)[number]

export const lensOrders = ['pressing', 'newest', 'oldest', 'reach', 'telling'] as const
export type LensOrder = (typeof lensOrders)[number]

export const lensChannels = ['pages', 'photos', 'posts', 'maps', 'video', 'forum', 'news', 'import'] as const

/** A stretch of time: the last days up to now, or local days (or hours) of the brand's zone, both ends included. */
export type LensRange = { last: number } | { from: string; to: string }

/** What is on screen: which entries, and in which order. Empty lists mean "all". */
export interface Lens {
  /** Threads are shown by their latest incoming entry; entries one by one. */
  unit: 'threads' | 'entries'
  state: ThreadState | 'any'
  kinds: EntryKind[]
  channels: string[]
  /** Ids of places. */
  places: number[]
  sentiments: Sentiment[]
  /** A colleague's id, or one of the fixed answers. */
  givenTo: 'anybody' | 'me' | 'nobody' | 'meOrNobody' | number
  /** Id of a watch. */
  watch: number | null
  /** Id of a group of watches: what any of them, or of the groups in it, has caught. */
  group: number | null
  /** BCP 47; "und" for what could not be told. */
  languages: string[]
  /** Id of an account: what this voice said. */
  voice: number | null
  /** Id of a story: the near copies of one text. */
  story: number | null
  /** Words that must stand side by side. */
  phrase: string
  /** An aspect that must be named, and what is said of it where that is asked. */
  aspect: { id: number; sentiment: 'positive' | 'neutral' | 'negative' | null } | null
  /** An hour of the local week, 0 (Monday, midnight) to 167. */
  weekHour: number | null
  /** Ids of tags, of which the thread bears one at least. */
  tags: number[]
  /** Only what somebody kept. */
  kept: boolean
  /** Words that must all be there, each as the start of a word. */
  words: string
  /** Null: everything. */
  range: LensRange | null
  order: LensOrder
}

export const blankLens: Lens = Object.freeze({
  unit: 'entries',
  state: 'any',
  kinds: [],
  channels: [],
  places: [],
  sentiments: [],
  givenTo: 'anybody',
  watch: null,
  group: null,
  languages: [],
  voice: null,
  story: null,
  phrase: '',
  aspect: null,
  weekHour: null,
  tags: [],
  kept: false,
  words: '',
  range: null,
  order: 'newest',
}) as unknown as Lens

/** Whether a lens asks for nothing beyond these parts. A part that is added to lenses counts as asked for until it is named. */
export function isBlankBut(lens: Lens, parts: readonly (keyof Lens)[]): boolean {
  return (Object.keys(blankLens) as (keyof Lens)[]).every(
    (part) => parts.includes(part) || JSON.stringify(lens[part]) === JSON.stringify(blankLens[part]),
  )
}

export const lensLimits = { words: 200, list: 50, days: 3700 } as const
