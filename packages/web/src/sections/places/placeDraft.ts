import type { PlaceDraft, PlaceSetUp, SpecialDay } from '@murrabel/contract'
import { parseHours, printHours } from './hoursText.ts'

/** What is typed into the sheet: hours as people write them. */
export interface PlaceFields {
  name: string
  address: string
  phone: string
  url: string
  /** It has hours at all. */
  opens: boolean
  /** Monday first; empty: closed. */
  week: string[]
  days: { date: string; name: string; hours: string }[]
}

export const fieldsOf = (place: PlaceSetUp | null): PlaceFields => ({
  name: place?.name ?? '',
  address: place?.address ?? '',
  phone: place?.phone ?? '',
  url: place?.url ?? '',
  opens: place ? place.week !== null : true,
  week: Array.from({ length: 7 }, (_, i) =>
    place?.week ? printHours(place.week[i] ?? []) : i < 5 && !place ? '09:00–17:00' : '',
  ),
  days: (place?.specialDays ?? []).map(({ date, name, hours }) => ({ date, name, hours: printHours(hours) })),
})

/** What is sent, and the fields whose hours cannot be read. */
export function draftOf({ opens, week, days, ...fields }: PlaceFields): {
  draft: PlaceDraft
  unread: string[]
} {
  const unread: string[] = []
  const read = (field: string, text: string) => {
    const hours = parseHours(text)
    if (!hours) unread.push(field)
    return hours ?? []
  }
  const draft: PlaceDraft = {
    ...fields,
    week: opens ? week.map((text, i) => read(`week[${i}]`, text)) : null,
    specialDays: days.map(({ date, name, hours }, i) => ({
      date,
      name,
      hours: read(`specialDays[${i}].hours`, hours),
    })),
  }
  return { draft, unread }
}

/** Days of a calendar beside those that are there: what was written by hand stays. */
export const withDays = (
  days: PlaceFields['days'],
  found: readonly Pick<SpecialDay, 'date' | 'name'>[],
): PlaceFields['days'] =>
  [
    ...days,
    ...found
      .filter(({ date }) => !days.some((day) => day.date === date))
      .map((day) => ({ ...day, hours: '' })),
  ].sort((a, b) => (a.date < b.date ? -1 : 1))
