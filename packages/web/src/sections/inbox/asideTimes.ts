import { DateTime } from 'luxon'

/** Times a thread is commonly set aside until, in the brand's zone. */
export function asideTimes(
  now: number,
  zone: string,
): { name: 'inHours' | 'untilTomorrow' | 'untilMonday'; until: string }[] {
  const here = DateTime.fromMillis(now, { zone })
  const nine = (day: DateTime) =>
    day.set({ hour: 9, minute: 0, second: 0, millisecond: 0 }).toUTC().toISO() ?? ''
  const monday = here.plus({ days: 8 - here.weekday })
  return [
    { name: 'inHours', until: here.plus({ hours: 3 }).toUTC().toISO() ?? '' },
    { name: 'untilTomorrow', until: nine(here.plus({ days: 1 })) },
    { name: 'untilMonday', until: nine(monday) },
  ]
}
