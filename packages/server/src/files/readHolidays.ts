import ICAL from 'ical.js'
import { cleanLine } from '@murrabel/core/text'
import type { HolidaysAnswer } from '@murrabel/contract'
import { Refusal } from '../problem.ts'

/** Days that are taken at most; a place has at most 400 special days. */
const mostDays = 400
/** Years that are looked ahead. */
const years = 3
/** Repetitions that are looked at, of one event and of all: daily ones with no end would go on for ever. */
const mostRepetitions = 30_000
const mostInAll = 40_000
/** Days of one event. */
const longestEvent = 60

/**
 * The days of a calendar (iCalendar, RFC 5545), from yesterday on for three years: whole days as they are written, and days on which an event
 * with a time begins, in the calendar's own zone. Repeated events are followed, also those without an end.
 *
 * @throws Refusal calendarUnreadable
 */
export function readHolidays(text: string, now: number): HolidaysAnswer {
  const from = dateOf(new Date(now - 86_400_000))
  const to = dateOf(new Date(now + years * 366 * 86_400_000))
  const days = new Map<string, string>()
  let leftOut = 0
  const budget = { left: mostInAll }
  for (const component of eventsOf(text)) {
    if (days.size === mostDays || budget.left <= 0) {
      leftOut++
      continue
    }
    try {
      const name = cleanLine(String(component.getFirstPropertyValue('summary') ?? ''), 80)
      if (component.getFirstPropertyValue('status') === 'CANCELLED') continue
      for (const date of datesOf(new ICAL.Event(component), { from, to, budget })) {
        if (days.has(date)) continue
        if (days.size < mostDays) days.set(date, name)
        else leftOut++
      }
    } catch {
      // Others can be read all the same.
      leftOut++
    }
  }
  return {
    days: [...days].map(([date, name]) => ({ date, name })).sort((a, b) => (a.date < b.date ? -1 : 1)),
    leftOut,
  }
}

const dateOf = (date: Date): string => date.toISOString().slice(0, 10)

function eventsOf(text: string): ICAL.Component[] {
  try {
    const parsed = ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0]
    const calendar = new ICAL.Component(parsed)
    if (calendar.name !== 'vcalendar') throw new Error('no calendar')
    return calendar.getAllSubcomponents('vevent')
  } catch (error) {
    throw new Refusal('calendarUnreadable', {}, { cause: error })
  }
}

function* datesOf(
  event: ICAL.Event,
  { from, to, budget }: { from: string; to: string; budget: { left: number } },
): Generator<string> {
  // An exception of another event is told by that one.
  if (event.isRecurrenceException()) return
  const length = lengthOf(event)
  if (!event.isRecurring()) {
    yield* daysFrom(event.startDate, length, { from, to })
    return
  }
  const repetitions = event.iterator()
  // The year of an event that can still reach the days that are asked for.
  const firstYear = Number(from.slice(0, 4)) - 1
  for (let i = 0; i < mostRepetitions; i++) {
    if (budget.left-- <= 0) throw new Error('too many repetitions')
    const next = repetitions.next() as ICAL.Time | null
    if (!next || dayOf(next) > to) return
    if (next.year >= firstYear) yield* daysFrom(next, length, { from, to })
  }
}

const dayOf = (time: ICAL.Time): string =>
  `${String(time.year).padStart(4, '0')}-${String(time.month).padStart(2, '0')}-${String(time.day).padStart(2, '0')}`

/** Whole days have an end that is not included; an event with times counts for the day it begins on. */
function lengthOf(event: ICAL.Event): number {
  if (!event.startDate.isDate) return 1
  const seconds = event.duration.toSeconds()
  return Math.min(longestEvent, Math.max(1, Math.round(seconds / 86_400)))
}

function* daysFrom(
  start: ICAL.Time,
  length: number,
  { from, to }: { from: string; to: string },
): Generator<string> {
  const time = start.clone()
  for (let i = 0; i < length; i++) {
    const date = dayOf(time)
    if (date >= from && date <= to) yield date
    time.adjust(1, 0, 0, 0)
  }
}
