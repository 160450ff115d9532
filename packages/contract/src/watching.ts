import type {
  Change,
  Direction,
  NetSentiment,
  RateChange,
  RatingMean,
  Share,
  UsualVerdict,
  VoiceHabit,
  VoiceLeaning,
} from '@murrabel/core/measures'
import type { Precision, TunerVerdict } from '@murrabel/core/tuner'
import type { LensSentiment } from '@murrabel/core/lens'
import type { EntryRow, GroupKind, Span, TideBucket } from './answers.ts'
import type { WatchQueryDraft } from './schemas.ts'

export interface MoodCounts {
  positive: number
  neutral: number
  negative: number
  unread: number
}

/** What is usual for a count, from periods of the same length. */
export interface UsualAnswer {
  verdict: UsualVerdict
  low: number | null
  high: number | null
  periods: number
}

/** A watch in the list: how it stands in the time shown. */
export interface WatchStanding {
  id: number
  count: number
  usual: UsualAnswer
  net: NetSentiment | null
  /** Counts of half periods up to now, oldest first. */
  spark: number[]
}

export interface ShownRange {
  from: string
  to: string
  days: number
}

export interface StandingsAnswer {
  range: ShownRange
  watches: WatchStanding[]
}

/** A part of the volume under a name, with its moods. */
export interface Slice extends MoodCounts {
  /** What the lens takes to open it: a channel, a language, a place's id, an hour of the week. */
  key: string | number | null
}

export interface AspectSlice extends MoodCounts {
  id: number
  name: string
  net: NetSentiment | null
}

export interface FiguresAnswer {
  range: ShownRange
  counts: MoodCounts
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
}

export interface PhraseAnswer {
  /** As written by most. */
  text: string
  /** What the lens takes to open its entries. */
  phrase: string
  count: number
  before: number
  z: number
  counts: MoodCounts
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

export interface VoiceAnswer extends MoodCounts {
  id: number
  name: string
  handle: string | null
  network: string
  channel: string
  entries: number
  reach: number
  first: string
  last: string
  activeDays: number
  habit: VoiceHabit
  leaning: VoiceLeaning
  net: NetSentiment | null
  standing: Standing | null
  note: string
  kept: boolean
  watches: { id: number; name: string; n: number }[]
}

export const standings = ['press', 'partner', 'rival', 'customer', 'troll', 'colleague'] as const
export type Standing = (typeof standings)[number]
export const voiceOrders = ['entries', 'reach', 'sour', 'sweet', 'last'] as const
export type VoiceOrder = (typeof voiceOrders)[number]

/** What is known of a voice whatever the lens. */
export interface VoiceCard {
  id: number
  name: string
  handle: string | null
  network: string
  standing: Standing | null
  note: string
  kept: boolean
  edition: number
}

export interface VoicesAnswer {
  voices: VoiceAnswer[]
  /** Voices in the lens; the list may be shorter. */
  total: number
}

export interface SpikeAnswer {
  from: string
  to: string
  open: boolean
  count: number
  expected: number
  /** Smallest chance met that ordinary noise would bring as much. */
  tail: number
  counts: MoodCounts
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
  counts: MoodCounts
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

export interface TunerMark {
  entryId: number
  onTopic: boolean
}

export interface ExclusionAnswer {
  term: string
  offTopicRemoved: number
  onTopicLost: number
  removed: number
  sample: EntryRow[]
}

export interface AdditionAnswer {
  term: string
  onTopicWith: number
  hitsWith: number
  fresh: number
  sample: EntryRow[]
}

export interface TunerAnswer {
  hits: number
  searched: number
  /** More entries than could be looked at: the newest stand for them. */
  cut: boolean
  days: number
  perDay: { at: string; count: number }[]
  channels: { key: string; count: number }[]
  languages: { key: string; count: number }[]
  overlap: { id: number; name: string; both: number }[]
  precision: Precision
  verdict: TunerVerdict
  exclusions: ExclusionAnswer[]
  additions: AdditionAnswer[]
  sample: (EntryRow & { hits: Span[]; onTopic: boolean | null })[]
}

export interface ProposedWatch {
  name: string
  group: GroupKind
  query: WatchQueryDraft
}

export interface RivalRow {
  watch: { id: number; name: string }
  ours: boolean
  total: number
  usual: UsualAnswer
  /** Among the rows of this answer. */
  share: Share | null
  net: NetSentiment | null
  netChange: Change | null
  volumeChange: RateChange | null
  /** Different people who spoke of it, now and in the period before. */
  audience: { voices: number; before: number; change: RateChange }
  reach: number
}

/** A profile that everybody sees: a rival's, or our own beside it. */
export interface PublicProfile {
  id: number
  /** The rival's watch; null for our own. */
  watchId: number | null
  network: string
  channel: string
  name: string
  url: string
  lookedAt: string | null
  problem: string | null
}

/** What the public profiles of one company show in the time asked for. */
export interface PublicSide {
  watchId: number | null
  name: string
  ours: boolean
  profiles: PublicProfile[]
  /** Counts of ratings of 1 to 5 given in that time. */
  stars: number[]
  rating: RatingMean | null
  /** Their mean less ours. */
  ratingToOurs: Change | null
  /** At the end of that time; null when no profile tells it. */
  followers: number | null
  /** Part of the earlier count, over that time and over the one before. */
  growth: number | null
  growthBefore: number | null
  /** Posts of their own; null when no profile has any. */
  posts: number | null
  postsChange: RateChange | null
}

export interface RivalsAnswer {
  range: ShownRange
  rows: RivalRow[]
  sides: PublicSide[]
}

export interface BrandWord {
  term: string
  valence: number
}

export interface AspectDraft {
  id?: number
  name: string
  terms: { text: string; prefix?: boolean; exactCase?: boolean; slack?: boolean }[]
}

export interface TeachingAnswer {
  /** Raised by every change of words or aspects. */
  edition: number
  words: BrandWord[]
  aspects: Required<AspectDraft>[]
  learning: {
    wanted: boolean
    /** In use: wanted, and measured better. */
    used: boolean
    /** Lessons that were learnt from, and entries corrected by now. */
    n: number
    corrections: number
    learnt: number
    base: number
    gained: number
    lost: number
    better: boolean
    contradicting: number
    needed: number
    learntAt: string | null
    /** Words with the strongest pull. */
    strongest: { word: string; toward: 'positive' | 'neutral' | 'negative' }[]
  }
  history: { done: number; total: number }
}

/** A reading tried on a sentence, with the words it rests on. */
export interface ReadingAnswer {
  label: LensSentiment
  language: string
  raw: number
  spans: (Span & { contribution: number })[]
}

/** Watches in a file: our own JSON. */
export interface WatchesFile {
  format: 'murrabel-watches'
  version: 1
  watches: {
    name: string
    query: WatchQueryDraft
    group: { name: string; kind: GroupKind }[]
    paused: boolean
  }[]
}
