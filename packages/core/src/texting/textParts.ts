/** How a text travels: in the alphabet of 3GPP TS 23.038, or in UTF-16 where that does not hold all of it. */
export type TextEncoding = 'GSM-7' | 'UCS-2'

export interface TextCount {
  encoding: TextEncoding
  /** Of seven bits (GSM-7) or of sixteen (UCS-2). */
  units: number
  /** Texts that it is sent as; 0 for nothing. */
  parts: number
  /** Units that fit into the last part beside what is there. */
  left: number
}

/** Units of a text that stands alone, and of one that is a part: a part spends six bytes on saying which it is. */
const room = { 'GSM-7': { alone: 160, part: 153 }, 'UCS-2': { alone: 70, part: 67 } } as const

/** The basic alphabet of 3GPP TS 23.038, 6.2.1, by code. */
const basic = new Set(
  '@£$¥èéùìòÇ\nØø\rÅåΔ_ΦΓΛΩΠΨΣΘΞÆæßÉ !"#¤%&\'()*+,-./0123456789:;<=>?¡ABCDEFGHIJKLMNOPQRSTUVWXYZÄÖÑÜ§¿abcdefghijklmnopqrstuvwxyzäöñüà',
)
/** Its extension, 6.2.1.1: two units each. */
const extended = new Set('\f^{}\\[~]|€')

const isGsm = (text: string): boolean => {
  for (const c of text) if (!basic.has(c) && !extended.has(c)) return false
  return true
}

/** Units of one character, which no part may divide. */
const unitsOf = (c: string, encoding: TextEncoding): number =>
  encoding === 'UCS-2' ? c.length : extended.has(c) ? 2 : 1

/**
 * The text in the pieces that it travels in.
 *
 * @example splitText('Boat at 9?').parts // ["Boat at 9?"]
 */
export function splitText(text: string): { encoding: TextEncoding; parts: string[] } {
  const encoding = isGsm(text) ? 'GSM-7' : 'UCS-2'
  const characters = [...text]
  const units = characters.reduce((sum, c) => sum + unitsOf(c, encoding), 0)
  if (!units) return { encoding, parts: [] }
  if (units <= room[encoding].alone) return { encoding, parts: [text] }
  const parts: string[] = []
  let part = ''
  let used = 0
  for (const c of characters) {
    const more = unitsOf(c, encoding)
    if (used + more > room[encoding].part) {
      parts.push(part)
      part = ''
      used = 0
    }
    part += c
    used += more
  }
  return { encoding, parts: [...parts, part] }
}

/**
 * How many texts it is sent as, and what still fits into the last of them. One letter outside the alphabet (an emoji, a
 * typographic apostrophe) makes all of it UCS-2, which holds less than half as much.
 *
 * @example countText('See you at 9') // {"encoding":"GSM-7","units":12,"parts":1,"left":148}
 * @example countText('See you at 9 ⛴') // {"encoding":"UCS-2","units":14,"parts":1,"left":56}
 */
export function countText(text: string): TextCount {
  const { encoding, parts } = splitText(text)
  const count = (piece: string) => [...piece].reduce((sum, c) => sum + unitsOf(c, encoding), 0)
  const most = parts.length > 1 ? room[encoding].part : room[encoding].alone
  const last = count(parts.at(-1) ?? '')
  return {
    encoding,
    units: parts.reduce((sum, part) => sum + count(part), 0),
    parts: parts.length,
    left: most - last,
  }
}
