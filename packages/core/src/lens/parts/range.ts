import { definePart } from '../part.ts'
import { instantsOf, type LensRange } from '../range.ts'
import { lensLimits } from '../values.ts'

const localTime = /^(\d{4})-(\d{2})-(\d{2})(?:T(\d{2}))?$/

/** Whether a local time is one of the calendar, in years that entries can be of. */
function isLocalTime(text: string): boolean {
  const found = localTime.exec(text)
  if (!found) return false
  const [year, month, day, hour] = found.slice(1).map((part) => Number(part ?? 0))
  const at = new Date(Date.UTC(year!, month! - 1, day))
  const exists = at.getUTCMonth() === month! - 1 && at.getUTCDate() === day
  return exists && year! >= 1900 && year! <= 2200 && hour! <= 23
}

/** @example printRange({ last: 14 }) // 'last-14' */
export function printRange(range: LensRange | null): string {
  if (!range) return 'all'
  return 'last' in range ? `last-${range.last}` : `${range.from}_${range.to}`
}

/**
 * Reads a range; undefined when it is none.
 *
 * @example parseRange('last-14') // {"last":14}
 */
export function parseRange(text: string): LensRange | null | undefined {
  if (text === 'all') return null
  const last = /^last-([1-9]\d{0,3})$/.exec(text)
  if (last) return Number(last[1]) <= lensLimits.days ? { last: Number(last[1]) } : undefined
  const [from, to, more] = text.split('_')
  if (!from || !to || more !== undefined || !isLocalTime(from) || !isLocalTime(to)) return undefined
  if (from > to) return undefined
  const days = (Date.parse(to.slice(0, 10)) - Date.parse(from.slice(0, 10))) / 86_400_000
  return days <= lensLimits.days ? { from, to } : undefined
}

/** When it was written. Null: at any time. */
export const range = definePart({
  field: 'range',
  name: 'time',
  blank: null as LensRange | null,
  print: printRange,
  parse: parseRange,
  phrase: (value) => ({
    message: !value ? 'all' : 'last' in value ? 'last' : value.from === value.to ? 'day' : 'span',
    values: !value ? [] : 'last' in value ? [value.last] : [value.from, value.to],
    narrows: value !== null,
  }),
  matches(value, context) {
    const { from, to } = instantsOf(value, context)!
    return (entry) => entry.at >= from && entry.at < to
  },
  sql(value, { bind, context, at }) {
    const { from, to } = instantsOf(value, context)!
    return `${at} >= ${bind(new Date(from))} AND ${at} < ${bind(new Date(to))}`
  },
  rollup(value, { bind, context }) {
    const { from, to } = instantsOf(value, context)!
    return `r.hour >= ${bind(new Date(from))} AND r.hour < ${bind(new Date(to))}`
  },
})
