import { hash32 } from '../stories/index.ts'

/** A 64-bit fingerprint in two halves, unsigned. */
export interface SimHash {
  high: number
  low: number
}

/** Fewer words say nothing by a likeness. */
const leastWords = 8

/**
 * Fingerprint of a text (Charikar 2002; Manku, Jain and Das Sarma 2007): texts that share most of their word pairs differ
 * in few bits.
 *
 * @param words folded, in order
 * @returns null under 8 words
 */
export function simHash(words: readonly string[]): SimHash | null {
  if (words.length < leastWords) return null
  const sums = new Int32Array(64)
  const features = new Set<string>(words)
  for (let i = 1; i < words.length; i++) features.add(`${words[i - 1]} ${words[i]}`)
  for (const feature of features) {
    const a = hash32(feature, 0x811c9dc5)
    const b = hash32(feature, 0x9747b28c)
    for (let bit = 0; bit < 32; bit++) {
      sums[bit]! += (a >>> bit) & 1 ? 1 : -1
      sums[bit + 32]! += (b >>> bit) & 1 ? 1 : -1
    }
  }
  let high = 0
  let low = 0
  for (let bit = 0; bit < 32; bit++) {
    if (sums[bit]! > 0) high |= 1 << bit
    if (sums[bit + 32]! > 0) low |= 1 << bit
  }
  return { high: high >>> 0, low: low >>> 0 }
}

function ones(value: number): number {
  let v = value - ((value >>> 1) & 0x55555555)
  v = (v & 0x33333333) + ((v >>> 2) & 0x33333333)
  return Math.imul((v + (v >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24
}

/**
 * Bits in which two fingerprints differ, 0 to 64.
 *
 * @example distance({ high: 1, low: 0 }, { high: 0, low: 1 }) // 2
 */
export const distance = (a: SimHash, b: SimHash) => ones(a.high ^ b.high) + ones(a.low ^ b.low)
