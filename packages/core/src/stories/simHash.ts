/** A 64-bit fingerprint in two halves, unsigned. */
export interface SimHash {
  high: number
  low: number
}

/** FNV-1a of 32 bits, its bits then mixed (the finisher of MurmurHash3), so that short words spread as well as long ones. */
function hash32(text: string, seed: number): number {
  let h = seed
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193)
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b)
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35)
  return (h ^ (h >>> 16)) >>> 0
}

/** Words a text needs before a likeness says anything: "Thanks, lovely crossing" is said by many. */
export const storyWords = 8

/**
 * Fingerprint of a text (Charikar 2002; Manku, Jain and Das Sarma 2007): texts that share most of their word pairs differ
 * in few bits.
 *
 * @param words folded, in order
 * @returns null under `storyWords` words
 */
export function simHash(words: readonly string[]): SimHash | null {
  if (words.length < storyWords) return null
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

/** Bits that copies of one story may differ in. */
export const storyDistance = 7

/**
 * Eight bands of eight bits: two fingerprints that differ in at most seven bits agree in one band at least (pigeonhole).
 * Each band is numbered, so that one index holds them all.
 */
export function bands({ high, low }: SimHash): number[] {
  const found: number[] = []
  for (let i = 0; i < 4; i++) {
    found.push((i << 8) | ((high >>> (8 * i)) & 0xff))
    found.push(((i + 4) << 8) | ((low >>> (8 * i)) & 0xff))
  }
  return found
}
