import { DateTime } from 'luxon'

/** Times that are commonly chosen, in the brand's zone, each once: on a Sunday tomorrow is Monday. */
export function asideTimes(
  now: number,
  zone: string,
): { name: 'hours' | 'tomorrow' | 'monday'; until: string }[] {
  const here = DateTime.fromMillis(now, { zone })
  const nine = (day: DateTime) =>
    day.set({ hour: 9, minute: 0, second: 0, millisecond: 0 }).toUTC().toISO() ?? ''
  const times = [
    { name: 'hours' as const, until: here.plus({ hours: 3 }).toUTC().toISO() ?? '' },
    { name: 'tomorrow' as const, until: nine(here.plus({ days: 1 })) },
    { name: 'monday' as const, until: nine(here.plus({ days: 8 - here.weekday })) },
  ]
  return times.filter(({ until }, i) => times.findIndex((each) => each.until === until) === i)
}

/** A local time of the brand's zone as fields of the browser write it. */
const written = "yyyy-MM-dd'T'HH:mm"

/** Tomorrow at nine, as such a field has it. */
export const tomorrowAtNine = (now: number, zone: string): string =>
  DateTime.fromMillis(now, { zone }).plus({ days: 1 }).set({ hour: 9, minute: 0 }).toFormat(written)

/**
 * The instant of a local time, as ISO 8601 writes it; null for what is none, and for one that is over.
 *
 * @example timeChosen('2026-11-28T09:00', { now: 0, zone: 'UTC' }) // "2026-11-28T09:00:00.000Z"
 */
export function timeChosen(text: string, { now, zone }: { now: number; zone: string }): string | null {
  const until = DateTime.fromFormat(text, written, { zone })
  return until.isValid && until.toMillis() > now ? until.toUTC().toISO() : null
}
