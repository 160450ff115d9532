import { DateTime } from 'luxon'
import { daysBefore } from '@murrabel/core/measures'
import type { EntryRow, TodayAnswer } from '@murrabel/contract'
import { networkName } from '../../composables/networkName.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'

/** Tomorrow at nine, where the brand is, as ISO 8601 writes it. */
export const tomorrowMorning = (now: number, zone: string): string =>
  DateTime.fromMillis(now, { zone })
    .plus({ days: 1 })
    .set({ hour: 9, minute: 0, second: 0, millisecond: 0 })
    .toUTC()
    .toISO() ?? ''

/**
 * How long something takes, as it is said: minutes below an hour in fives, then hours in halves.
 *
 * @example effortOf(95 * 60_000) // { unit: 'hours', n: 1.5 }
 */
export function effortOf(ms: number): { unit: 'minutes' | 'hours'; n: number } {
  const minutes = ms / 60_000
  if (minutes < 10) return { unit: 'minutes', n: Math.max(1, Math.round(minutes)) }
  return minutes < 55
    ? { unit: 'minutes', n: 5 * Math.round(minutes / 5) }
    : { unit: 'hours', n: Math.max(1, Math.round(minutes / 30) / 2) }
}

/** What the page says in words of its own. */
export function useTodayTexts() {
  const { t, number, format, clock, when, span } = useTexts()
  const brand = useBrand()
  const dayKey = (at: number | string) => format(at, { year: 'numeric', month: '2-digit', day: '2-digit' })

  function titleOf(since: string): string {
    const weekday = format(Date.now(), { weekday: 'long' })
    const day = weekday.charAt(0).toUpperCase() + weekday.slice(1)
    const key = dayKey(since)
    const said =
      key === dayKey(Date.now())
        ? clock(since)
        : key === dayKey(daysBefore(Date.now(), 1, brand.zone))
          ? t('today.sinceYesterday', { t: clock(since) })
          : when(since)
    return t('today.title', { day, since: said })
  }
  function sumOf({ arrived, open, pace }: TodayAnswer): string {
    const parts = [
      t('today.sum', { n: number(arrived) }, arrived),
      t('today.open', { n: number(open.count) }, open.count),
      t('today.pastDue', { n: number(open.pastDue) }, open.pastDue),
    ]
    if (!pace || !open.count) return `${parts.join(', ')}.`
    const { unit, n } = effortOf(open.count * pace.eachMs)
    return `${parts.join(', ')}. ${t(`today.${unit}`, { n: number(n) }, n)}`
  }
  /** What the time rests on. */
  const paceOf = ({ pace }: TodayAnswer): string | undefined =>
    pace ? t('today.paceOf', { n: number(pace.answers), t: span(pace.eachMs / 60_000) }) : undefined
  /** Where it was said, and the place that it is about. */
  function placeOf(row: EntryRow): string {
    const place = brand.places.find(({ id }) => id === row.placeId)?.name
    return [networkName(row, t('profiles.email.channel')), place].filter(Boolean).join(' · ')
  }
  return { titleOf, sumOf, paceOf, placeOf }
}
