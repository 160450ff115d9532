import { IANAZone } from 'luxon'

/**
 * Opening spans of one day as minutes from local midnight, [open, close) pairs, ascending. A night that goes on after midnight has a
 * close beyond 1440: [1320, 1560] is from 22:00 to 2:00.
 */
export type DayHours = readonly (readonly [open: number, close: number])[]

export interface BusinessHours {
  /** Monday first; seven days. Null: never closed. */
  week: readonly DayHours[] | null
  /** Local days with hours of their own, such as "2026-12-25"; no spans: nobody is there. */
  specialDays: Readonly<Record<string, DayHours>>
  /** IANA zone of the place. */
  zone: string
}

const minute = 60_000
const dayMinutes = 1440
const day = dayMinutes * minute
/** A place that opens on none of so many days never opens. */
const daysAhead = 400

interface Span {
  from: number
  to: number
}

/** Whether dates can be told in a zone. @param zone as IANA names it, such as "Europe/London" */
export const isZone = (zone: string): boolean => IANAZone.isValidZone(zone)

/** @throws RangeError for what is no time zone */
function zoneOf({ zone }: BusinessHours): IANAZone {
  const found = IANAZone.create(zone)
  if (!found.isValid) throw new RangeError(`"${zone}" is no time zone.`)
  return found
}

/** The instant at which an offset that held at `low` has given way to the one that holds at `high`. */
function changeBetween(zone: IANAZone, low: number, high: number): number {
  const before = zone.offset(low)
  let [held, gone] = [low, high]
  while (gone - held > 1000) {
    const middle = Math.floor((held + gone) / 2000) * 1000
    if (zone.offset(middle) === before) held = middle
    else gone = middle
  }
  return gone
}

/** How far apart changes of a clock are at least, and how far a clock is from that of the world at most. */
const changeStep = day / 4
const offsetMost = 15 * 60 * minute

/**
 * When the clock on the wall shows a time of a stretch: once, not at all where the clock skips it, or twice where it is set back.
 *
 * @param from wall-clock time, as the epoch milliseconds it would be without any offset
 */
function instantsOnWall(zone: IANAZone, from: number, to: number): Span[] {
  const found: Span[] = []
  const end = to + offsetMost
  for (let held = from - offsetMost; held < end;) {
    const offset = zone.offset(held) * minute
    let until = held
    while (until < end && zone.offset(until) * minute === offset) until += changeStep
    const changed = until < end ? changeBetween(zone, until - changeStep, until) : end
    const span = { from: Math.max(held, from - offset), to: Math.min(changed, to - offset) }
    if (span.from < span.to) found.push(span)
    held = changed
  }
  return found
}

/** The open spans that begin on a local day, ascending. @param date days since 1 January 1970 */
function spansOn(date: number, { week, specialDays }: BusinessHours, zone: IANAZone): Span[] {
  const midnight = date * day
  const special = specialDays[new Date(midnight).toISOString().slice(0, 10)]
  // The first of January 1970 was a Thursday.
  const weekday = (((date + 3) % 7) + 7) % 7
  const hours = special ?? (week ? (week[weekday] ?? []) : [[0, dayMinutes] as const])
  return hours
    .flatMap(([open, close]) => instantsOnWall(zone, midnight + open * minute, midnight + close * minute))
    .sort((one, other) => one.from - other.from)
}

interface LocalDay {
  /** Its first instant. */
  begin: number
  spans: readonly Span[]
}
/** Days of these hours: the same few are asked for again and again. */
const known = new WeakMap<BusinessHours, Map<number, LocalDay>>()
const daysKnown = 3000

function dayOf(date: number, hours: BusinessHours, zone: IANAZone): LocalDay {
  const days = known.get(hours) ?? new Map<number, LocalDay>()
  known.set(hours, days)
  const found = days.get(date)
  if (found) return found
  const [first] = instantsOnWall(zone, date * day, (date + 1) * day)
  const told = { begin: first?.from ?? date * day, spans: spansOn(date, hours, zone) }
  if (days.size >= daysKnown) days.clear()
  days.set(date, told)
  return told
}

/** Open spans from an instant on, ascending, none in two; the night before may reach into them. */
function* openSpans(from: number, hours: BusinessHours, days: number): Generator<Span> {
  const zone = zoneOf(hours)
  const first = Math.floor((from + zone.offset(from) * minute) / day) - 1
  let reached = from
  /** Begun on days before: where the clock is set back after midnight, a night can go on after what the next day has begun. */
  let waiting: Span[] = []
  for (let i = 0; i <= days; i++) {
    const { begin, spans } = dayOf(first + i, hours, zone)
    const sure = waiting.filter((span) => span.from < begin)
    waiting = [...waiting.filter((span) => span.from >= begin), ...spans].sort((a, b) => a.from - b.from)
    for (const span of sure) {
      const start = Math.max(span.from, reached)
      if (span.to <= start) continue
      yield { from: start, to: span.to }
      reached = span.to
    }
  }
}

const neverCloses = ({ week, specialDays }: BusinessHours): boolean =>
  !week && !Object.keys(specialDays).length

/**
 * The instant at which `minutes` of opening time have passed since `from`. Counted across closed hours, special days and
 * changes of the clock.
 *
 * @param from epoch milliseconds
 * @param minutes of opening time, 0 or more
 * @returns epoch milliseconds; the plain sum when the place opens at no time within the next 400 days
 * @throws RangeError for what is no time zone
 * @example addBusinessMinutes(0, 90, { week: null, specialDays: {}, zone: 'UTC' }) // 5400000
 */
export function addBusinessMinutes(from: number, minutes: number, hours: BusinessHours): number {
  zoneOf(hours)
  if (neverCloses(hours)) return from + minutes * minute
  let left = minutes * minute
  for (const span of openSpans(from, hours, daysAhead)) {
    if (span.to - span.from >= left) return span.from + left
    left -= span.to - span.from
  }
  return from + minutes * minute
}

/**
 * Opening minutes between two instants; 0 when the second is not later.
 *
 * @throws RangeError for what is no time zone
 * @example businessMinutesBetween(0, 3_600_000, { week: null, specialDays: {}, zone: 'UTC' }) // 60
 */
export function businessMinutesBetween(from: number, to: number, hours: BusinessHours): number {
  let sum = 0
  const days = Math.min(4000, Math.ceil((to - from) / day) + 2)
  for (const span of openSpans(from, hours, days)) {
    if (span.from >= to) break
    sum += Math.min(span.to, to) - span.from
  }
  return sum / minute
}

/** Whether somebody is there. @param at epoch milliseconds */
export const isOpenAt = (at: number, hours: BusinessHours): boolean =>
  businessMinutesBetween(at, at + 1, hours) > 0
