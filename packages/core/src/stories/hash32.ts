/** FNV-1a of 32 bits, its bits then mixed (the finisher of MurmurHash3), so that short words spread as well as long ones. */
export function hash32(text: string, seed: number): number {
  let h = seed
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193)
  return mixed(h)
}

/** A whole number of 32 bits to another, unsigned, that says nothing of it. */
export function mixed(value: number): number {
  let h = Math.imul(value ^ (value >>> 16), 0x85ebca6b)
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35)
  return (h ^ (h >>> 16)) >>> 0
}
