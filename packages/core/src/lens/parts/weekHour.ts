import { DateTime } from 'luxon'
import { definePart, type ConditionSql } from '../part.ts'
import { onePhrase } from './shared.ts'

const weekdays = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']

/** The hour of the local week an instant lies in, 0 (Monday, midnight) to 167. */
export function weekHourOf(at: number, zone: string): number {
  const local = DateTime.fromMillis(at, { zone })
  return (local.weekday - 1) * 24 + local.hour
}

/** The same of an entry, in SQL. */
export function weekHourSql({ bind, context }: Pick<ConditionSql, 'bind' | 'context'>): string {
  const local = `(e.at AT TIME ZONE ${bind(context.zone)}::text)`
  return `((extract(isodow FROM ${local}) - 1) * 24 + extract(hour FROM ${local}))::int`
}

/** An hour of the local week, 0 (Monday, midnight) to 167. */
export const weekHour = definePart({
  field: 'weekHour',
  name: 'hour',
  blank: null as number | null,
  print: (hour) => (hour === null ? 'all' : `${weekdays[Math.floor(hour / 24)]}-${hour % 24}`),
  parse(text): number | null | undefined {
    if (text === 'all') return null
    const found = /^([a-z]{3})-(\d{1,2})$/.exec(text)
    const day = weekdays.indexOf(found?.[1] ?? '-')
    const hour = Number(found?.[2])
    return day < 0 || hour > 23 ? undefined : day * 24 + hour
  },
  phrase: onePhrase,
  matches:
    (hour, { zone }) =>
    (entry) =>
      weekHourOf(entry.at, zone) === hour,
  sql: (hour, query) => `${weekHourSql(query)} = ${query.bind(hour)}::int`,
})
