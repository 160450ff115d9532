import { netSentiment, type NetSentiment } from './netSentiment.ts'

export type VoiceHabit = 'oneOff' | 'occasional' | 'regular'
export type VoiceLeaning = 'champion' | 'critic' | 'mixed' | 'tooLittle'

export interface VoiceCounts {
  positive: number
  neutral: number
  negative: number
  unread: number
  /** Different local days on which the voice spoke. */
  activeDays: number
}

export interface VoiceReading {
  entries: number
  habit: VoiceHabit
  leaning: VoiceLeaning
  net: NetSentiment | null
}

/** Days on which a regular voice spoke. */
const regularDays = 4
/** Of fewer read entries nothing is said. */
const leaningMinimum = 4
/** A leaning is at least so much, and surely on that side of 0. */
const leaningNet = 0.25

/**
 * What a voice is, by what it said: a champion or critic only when the 95% interval of its net sentiment lies on one side
 * of 0, the net sentiment itself by a quarter, and it spoke on at least two days. One complaint, or one bad day, makes nobody a critic.
 */
export function readVoice({ positive, neutral, negative, unread, activeDays }: VoiceCounts): VoiceReading {
  const entries = positive + neutral + negative + unread
  const net = netSentiment(positive, neutral, negative)
  const habit = activeDays <= 1 ? 'oneOff' : activeDays < regularDays ? 'occasional' : 'regular'
  return { entries, habit, leaning: leaningOf(net, activeDays), net }
}

function leaningOf(net: NetSentiment | null, activeDays: number): VoiceLeaning {
  if (!net || net.n < leaningMinimum || activeDays < 2) return 'tooLittle'
  if (net.low > 0 && net.net >= leaningNet) return 'champion'
  if (net.high < 0 && net.net <= -leaningNet) return 'critic'
  // All of them complaints, but too few to be sure of: that is not "both ways".
  return Math.abs(net.net) < leaningNet ? 'mixed' : 'tooLittle'
}
