import type { DayHours } from '@murrabel/core/places'

/** Minutes as they stand on a clock; beyond midnight on that of the next day. */
const clock = (minutes: number): string => {
  const within = minutes === 1440 ? 1440 : minutes % 1440
  return `${String(Math.floor(within / 60)).padStart(2, '0')}:${String(within % 60).padStart(2, '0')}`
}

/** @example printHours([[540, 750], [1320, 1560]]) // '09:00–12:30, 22:00–02:00' */
export const printHours = (day: DayHours): string =>
  day.map(([open, close]) => `${clock(open)}–${clock(close)}`).join(', ')

const span = /^(\d{1,2})(?:[:.](\d{2}))?\s*(?:-|–|—|to|à|bis)\s*(\d{1,2})(?:[:.](\d{2}))?$/i

/**
 * Hours as people write them; a close that is not after its open is on the next day. Undefined for what cannot be read.
 *
 * @example parseHours('9-12.30, 22:00–2:00') // [[540,750],[1320,1560]]
 */
export function parseHours(text: string): DayHours | undefined {
  const day: [number, number][] = []
  for (const part of text.split(/[,;]/).map((each) => each.trim())) {
    if (!part) continue
    const found = span.exec(part)
    if (!found) return undefined
    const [open, close] = [minutesOf(found[1]!, found[2]), minutesOf(found[3]!, found[4])]
    if (open === null || close === null || open === 1440) return undefined
    day.push([open, close > open ? close : close + 1440])
  }
  return day
}

function minutesOf(hour: string, minute = '0'): number | null {
  const minutes = Number(hour) * 60 + Number(minute)
  return Number(minute) < 60 && minutes <= 1440 ? minutes : null
}
