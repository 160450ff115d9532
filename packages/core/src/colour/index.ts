/** Colours as `#rrggbb`, and what can be read on them: WCAG 2.2, relative luminance and contrast ratio. */

type Rgb = readonly [number, number, number]

const rgbOf = (hex: string): Rgb => {
  const found = /^#([0-9a-f]{2})([0-9a-f]{2})([0-9a-f]{2})$/i.exec(hex)
  if (!found) throw new RangeError(`${hex} is no colour such as #14505c`)
  return [parseInt(found[1]!, 16), parseInt(found[2]!, 16), parseInt(found[3]!, 16)]
}
const hexOf = (rgb: Rgb): string =>
  `#${rgb.map((part) => Math.round(part).toString(16).padStart(2, '0')).join('')}`

/** Relative luminance, 0 (black) to 1 (white). */
function luminance(hex: string): number {
  const [r, g, b] = rgbOf(hex).map((part) => {
    const share = part / 255
    return share <= 0.04045 ? share / 12.92 : ((share + 0.055) / 1.055) ** 2.4
  }) as [number, number, number]
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}

/** Contrast ratio of two colours, 1 to 21. @throws RangeError for what is no colour */
export function contrast(one: string, other: string): number {
  const [a, b] = [luminance(one), luminance(other)]
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05)
}

/** Least contrast of text (WCAG 2.2, level AA). */
export const readable = 4.5

/** Black or white, whichever is read better on a colour: one of them always has a contrast of at least 4.5. */
export const inkOn = (fill: string): '#000000' | '#ffffff' =>
  contrast(fill, '#ffffff') >= contrast(fill, '#000000') ? '#ffffff' : '#000000'

/** The colour itself where it can be read on another as text; else as little nearer to black or white as is needed. */
export function asText(colour: string, on = '#ffffff'): string {
  const [from, to] = [rgbOf(colour), rgbOf(inkOn(on))]
  for (let step = 0; step < 20; step++) {
    const mixed = hexOf(from.map((part, i) => part + ((to[i]! - part) * step) / 20) as unknown as Rgb)
    if (contrast(mixed, on) >= readable) return mixed
  }
  return hexOf(to)
}

/** A pale wash of a colour, for grounds that dark text stands on. */
export const washOf = (colour: string): string =>
  hexOf(rgbOf(colour).map((part) => part + (255 - part) * 0.88) as unknown as Rgb)

/** What a box on a white ground is painted with. */
export interface Shades {
  fill: string
  onFill: string
  /** Text and lines on white, and on the wash. */
  text: string
  wash: string
}

/** A brand's colour as a box on a white ground needs it: everything can be read where it stands. @throws RangeError */
export function shadesOf(colour: string): Shades {
  const wash = washOf(colour)
  return { fill: colour, onFill: inkOn(colour), text: asText(colour, wash), wash }
}
