import type { PersonStanding as Standing } from '@murrabel/core/lens'
import type { NetSentiment, VoiceHabit, VoiceLeaning } from '@murrabel/core/measures'
import type { SentimentCounts } from '../entries/answers.ts'

export interface VoiceAnswer extends SentimentCounts {
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
  /** Id of the person behind it; standing and note are theirs. */
  person: number
  watches: { id: number; name: string; n: number }[]
}

export { personStandings as standings, type PersonStanding as Standing } from '@murrabel/core/lens'

export const voiceOrders = ['entries', 'reach', 'negative', 'positive', 'last'] as const

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
  /** Id of the person behind it; standing, note and edition are theirs. */
  person: number
  edition: number
}

export interface VoicesAnswer {
  voices: VoiceAnswer[]
  /** Voices in the lens; the list may be shorter. */
  total: number
}
