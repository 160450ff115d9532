import { DateTime } from 'luxon'
import { earliest } from '@murrabel/core/text'
import type { DateOrder } from '@murrabel/contract'

const iso =
  /^\d{4}-\d{2}-\d{2}(?:[T ]\d{1,2}:\d{2}(?::\d{2}(?:[.,]\d{1,9})?)?(?: ?(?:Z|[+-]\d{2}(?::?\d{2})?))?)?$/i
/** Day and month in numbers, with slashes: which is which is a habit of countries. */
const slashed = /^(\d{1,2})\/(\d{1,2})\/(\d{4})(?:,? (\d{1,2}:\d{2}))?$/
const formats = [
  'd.M.yyyy',
  'd.M.yyyy H:mm',
  'yyyy/M/d',
  'yyyy/M/d H:mm',
  'd MMM yyyy',
  'd MMMM yyyy',
  'MMM d, yyyy',
  'MMMM d, yyyy',
]

/** What a date with slashes says of the order of day and month: one of them, either, or nothing. */
export function orderOf(text: string): DateOrder | 'either' | null {
  const found = slashed.exec(text.trim())
  if (!found) return null
  const [first, second] = [Number(found[1]), Number(found[2])]
  if (first > 12) return second <= 12 ? 'dayFirst' : null
  if (second > 12) return 'monthFirst'
  // 05/05 is the same day either way.
  return first === second ? null : 'either'
}

/**
 * A date as people write it: ISO 8601 with its day, with dots the day first, with slashes in the order that is told, or
 * with the month's name; in the given zone unless one is written.
 *
 * @returns epoch milliseconds; null for what is no date, or none that an entry can have
 */
export function readDate(text: string, zone: string, order: DateOrder = 'dayFirst'): number | null {
  const at = readAnyDate(text, zone, order)
  return at !== null && at >= earliest ? at : null
}

/** The same of any year, such as that of a birthday. */
export function readAnyDate(text: string, zone: string, order: DateOrder): number | null {
  const date = parsed(text.trim(), zone, order)
  return date?.isValid ? date.toMillis() : null
}

function parsed(text: string, zone: string, order: DateOrder): DateTime | null {
  if (iso.test(text)) return DateTime.fromISO(isoForm(text), { zone })
  const found = slashed.exec(text)
  if (found) {
    const [, first, second, year, time = '0:00'] = found
    const [day, month] = order === 'dayFirst' ? [first, second] : [second, first]
    return DateTime.fromFormat(`${day} ${month} ${year} ${time}`, 'd M yyyy H:mm', { zone })
  }
  for (const format of formats) {
    const read = DateTime.fromFormat(text, format, { zone, locale: 'en' })
    if (read.isValid) return read
  }
  return null
}

/** As the parser wants it: a T before the time, two digits of the hour, no space before the zone. */
const isoForm = (text: string): string =>
  text
    .replace(/^(\d{4}-\d{2}-\d{2})[T ](\d):/i, '$1T0$2:')
    .replace(/^(\d{4}-\d{2}-\d{2}) (\d)/, '$1T$2')
    .replace(/ (?=[Z+-])/i, '')
