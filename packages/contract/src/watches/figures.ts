import type {
  Change,
  Direction,
  NetSentiment,
  RateChange,
  Share,
  UsualVerdict,
} from '@murrabel/core/measures'
import type { Precision } from '@murrabel/core/tuner'
import type { EntryRow, SentimentCounts, TideBucket } from '../entries/answers.ts'

/** What is usual for a count, from periods of the same length. */
export interface UsualAnswer {
  verdict: UsualVerdict
  /** How often chance alone leads so far away from what is usual, two-sided, 0 to 1. */
  p: number
  low: number | null
  high: number | null
  periods: number
}

/** A watch in the list: how it stands in the time shown. */
export interface WatchSummary {
  id: number
  count: number
  usual: UsualAnswer
  /** Without its interval, which rests on who said what: the figures of a watch have it. */
  net: Pick<NetSentiment, 'net' | 'n'> | null
  /** Counts of half periods up to now, oldest first. */
  spark: number[]
}

export interface ShownRange {
  from: string
  to: string
  days: number
}

export interface SummariesAnswer {
  range: ShownRange
  watches: WatchSummary[]
}

/** A time in which an account was not collected and what was written did not come in afterwards. */
export interface OutageAnswer {
  account: string
  network: string
  /** The part it usually brings of what is shown, 0 to 1. */
  share: number
  from: string
  /** Null: it goes on. */
  to: string | null
}

/** A part of the volume under a name, by sentiment. */
export interface Slice extends SentimentCounts {
  /** What the lens takes to open it: a channel, a language, a place's id, an hour of the week. */
  key: string | number | null
}

export interface AspectSlice extends SentimentCounts {
  id: number
  name: string
  net: NetSentiment | null
}

export interface FiguresAnswer {
  range: ShownRange
  counts: SentimentCounts
  total: number
  net: NetSentiment | null
  usual: UsualAnswer
  /** The period of the same length before. */
  before: { total: number; net: NetSentiment | null }
  countChange: RateChange | null
  netChange: Change | null
  /** Over the periods before and this one, oldest first. */
  direction: {
    unit: 'period' | 'week'
    volume: Direction
    net: Direction
    volumes: number[]
    nets: (number | null)[]
    starts: string[]
    /** Weeks that were not collected: they are left out. */
    missed: boolean[]
  }
  share: (Share & { among: { id: number; name: string; count: number }[] }) | null
  onTopic: Precision | null
  channels: Slice[]
  languages: Slice[]
  places: Slice[]
  hours: { key: number; n: number }[]
  aspects: AspectSlice[]
  /** Rows that a story folds away. */
  copies: number
  /** Where counts are too low because something was not collected; of the time shown and the weeks of the direction. */
  outages: OutageAnswer[]
}

export interface PhraseAnswer {
  /** As written by most. */
  text: string
  /** What the lens takes to open its entries. */
  phrase: string
  count: number
  before: number
  z: number
  counts: SentimentCounts
  net: NetSentiment | null
}

export interface PhrasesAnswer {
  phrases: PhraseAnswer[]
  /** Entries looked at, and those they are told from. */
  entries: number
  against: number
  /** The lens's own past, the whole brand's where that is too little, or what else is said at the same time. */
  background: 'before' | 'brand' | 'others'
  backgroundDays: number
  /** Only the newest were looked at. */
  cut: boolean
}

export interface SpikeAnswer {
  from: string
  to: string
  open: boolean
  /** It stayed: what began then is what is usual since. */
  newLevel: boolean
  count: number
  expected: number
  /** Smallest chance met that ordinary noise would bring as much. */
  tail: number
  counts: SentimentCounts
  phrases: PhraseAnswer[]
  first: EntryRow | null
  voices: { id: number; name: string; entries: number; reach: number }[]
  stories: { id: number; title: string; copies: number }[]
}

export interface SpikesAnswer {
  range: ShownRange
  spikes: SpikeAnswer[]
  /** Hours known before the first that was judged. */
  learnedDays: number
}

export interface ComparedSide {
  name: string
  total: number
  days: number
  counts: SentimentCounts
  net: NetSentiment | null
  series: TideBucket[]
}

export interface CompareAnswer {
  unit: 'hour' | 'day' | 'week' | 'month'
  one: ComparedSide
  two: ComparedSide
  volume: RateChange
  net: Change | null
  share: Share | null
  /** What is said more on one side than on the other. */
  phrasesOne: PhraseAnswer[]
  phrasesTwo: PhraseAnswer[]
  /** Whether each side's phrases are told from the other side; where that holds too little, from what was said before. */
  fromOther: [boolean, boolean]
}
