import { placedWords } from '../text/index.ts'
import { distance, simHash, type SimHash } from './simHash.ts'

/** Short texts are much alike without being copies: "Is the 9:45 on time?" says nothing of its sender. */
const spamWords = 20

/**
 * Bits in which the words of one pitch under several names differ at most. Three of them, with another opening and another
 * name, were 7 to 11 apart; of 3,900 other texts of the demo world none came nearer to one than 16.
 */
const spamDistance = 11

/** What the words of an entry are known by among spam; null for a short one. */
export function spamPrint({ title, text }: { title: string | null; text: string }): SimHash | null {
  const words = placedWords(`${title ?? ''} ${text}`).map(({ word }) => word)
  return words.length < spamWords ? null : simHash(words)
}

/** What a thread is known by: who wrote it, and the fingerprint of their words; null: none, or too few words. */
export interface SpamSigns {
  account: number | null
  print: SimHash | null
}

/** What a person said of a thread. */
export interface SpamMark extends SpamSigns {
  thread: number
  spam: boolean
  /** Epoch milliseconds. */
  at: number
}

export interface SpamReason {
  why: 'sender' | 'words'
  /** The marked thread that says so. */
  like: number
}

/**
 * Whether what people said of other threads makes this one spam: its sender's latest mark says so, or its words are nearly
 * those of a marked thread. Whoever was marked as no spam is never put aside for their words, nor is a text that is as near
 * to one that is no spam.
 *
 * @param marks of one brand, in any order
 * @returns null when nothing says so
 * @example spamReason({ account: 4, print: null }, [{ thread: 9, account: 4, print: null, spam: true, at: 0 }]) // {"why":"sender","like":9}
 */
export function spamReason({ account, print }: SpamSigns, marks: readonly SpamMark[]): SpamReason | null {
  let ofSender: SpamMark | undefined
  let nearest: { mark: SpamMark; bits: number } | undefined
  for (const mark of marks) {
    if (account !== null && mark.account === account && (!ofSender || mark.at > ofSender.at)) ofSender = mark
    if (!print || !mark.print) continue
    const bits = distance(print, mark.print)
    if (bits > spamDistance) continue
    if (!nearest || bits < nearest.bits || (bits === nearest.bits && !mark.spam)) nearest = { mark, bits }
  }
  if (ofSender) return ofSender.spam ? { why: 'sender', like: ofSender.thread } : null
  return nearest?.mark.spam ? { why: 'words', like: nearest.mark.thread } : null
}
