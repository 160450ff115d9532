import { DateTime, IANAZone } from 'luxon'
import { definePart, type ConditionSql } from '../part.ts'
import { weekHourSpans } from '../weekHourSpans.ts'
import { onePhrase } from './shared.ts'

const weekdays = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']

/**
 * The hour of the local week an instant lies in, 0 (Monday, midnight) to 167.
 *
 * @example weekHourOf(Date.UTC(2026, 10, 24, 9), 'UTC') // 33
 */
export function weekHourOf(at: number, zone: string): number {
  const local = DateTime.fromMillis(at, { zone })
  return (local.weekday - 1) * 24 + local.hour
}

const hourMs = 3_600_000

/**
 * The hours of the local week that so many hours lie in: where the clock changes, one is met twice or not at all.
 *
 * @param start of the first hour, epoch milliseconds
 * @example weekHoursOf(Date.UTC(2026, 9, 25), 4, 'Europe/London') // [145,145,146,147]
 */
export function weekHoursOf(start: number, length: number, zone: string): number[] {
  const clock = IANAZone.create(zone)
  const hours: number[] = []
  // A clock changes at most once a day: it is asked at both ends of a day, and within it only when they differ.
  for (let at = 0; at < length; at += 24) {
    const end = Math.min(length, at + 24)
    const [first, last] = [clock.offset(start + at * hourMs), clock.offset(start + (end - 1) * hourMs)]
    for (let i = at; i < end; i++) {
      const offset = first === last ? first : clock.offset(start + i * hourMs)
      // The first hour of 1970 was Thursday's.
      hours.push((Math.floor((start + i * hourMs + offset * 60_000) / hourMs) + 72) % 168)
    }
  }
  return hours
}

/** The same of a column of instants, in SQL. */
export function weekHourSql(
  { bind, context }: Pick<ConditionSql, 'bind' | 'context'>,
  column = 'e.at',
): string {
  const local = `(${column} AT TIME ZONE ${bind(context.zone)}::text)`
  return `((extract(isodow FROM ${local}) - 1) * 24 + extract(hour FROM ${local}))::int`
}

/** More stretches than these cost more than they spare: the hour of every entry is looked at then. */
const mostSpans = 600
const dayMs = 86_400_000

/** The same hours as stretches of time, which an index on time finds. */
function spansSql(hour: number, { bind, context, at, window }: ConditionSql): string[] {
  // Nothing was written before the first entry, and nothing is taken in that lies further ahead than a day.
  const heard = { from: (context.since ?? 0) - dayMs, to: context.now + 2 * dayMs }
  const spans = weekHourSpans(hour, window ?? heard, context.zone)
  if (!spans.length || spans.length > mostSpans) return []
  const each = spans.map(
    ({ from, to }) => `${at} >= ${bind(new Date(from))} AND ${at} < ${bind(new Date(to))}`,
  )
  return [`(${each.join(' OR ')})`]
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
  sql: (hour, query) =>
    [`${weekHourSql(query)} = ${query.bind(hour)}::int`, ...spansSql(hour!, query)].join(' AND '),
  rollup: (hour, query) => `${weekHourSql(query, 'r.hour')} = ${query.bind(hour)}::int`,
})
