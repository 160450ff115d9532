import { createSharedComposable, useTimestamp } from '@vueuse/core'
import { useI18n } from 'vue-i18n'
import { daysBefore } from '@murrabel/core/measures'
import { useBrand } from '../stores/brand.ts'
import { dateFormat } from './formats.ts'
import { useT } from './useT.ts'

/** The region that dates are written for. */
export const regionOf = (locale: string): string => (locale === 'en' ? 'en-GB' : locale)

/** Changes twice a minute: what says how far off something is keeps right while the page stays open. */
const useTick = createSharedComposable(() => useTimestamp({ interval: 30_000 }))

/** Dates in the reader's language and the brand's zone, and how far off a due time is. */
export function useDates() {
  const { locale } = useI18n()
  const { t } = useT()
  const brand = useBrand()
  const tick = useTick()
  const format = (at: string | number | Date, options: Intl.DateTimeFormatOptions) =>
    dateFormat(regionOf(locale.value), { timeZone: brand.zone, ...options }).format(new Date(at))

  const clock = (at: string) => format(at, { hour: '2-digit', minute: '2-digit' })
  const yearOf = (at: string | number) => format(at, { year: 'numeric' })
  /** A day; with its year when that is not this one. */
  const day = (at: string | number) =>
    format(at, {
      day: 'numeric',
      month: 'short',
      ...(yearOf(at) === yearOf(Date.now()) ? {} : { year: 'numeric' }),
    })
  const exact = (at: string) => format(at, { dateStyle: 'full', timeStyle: 'short' })
  const dayKey = (at: string | number | Date) =>
    format(at, { year: 'numeric', month: '2-digit', day: '2-digit' })

  const when = (at: string): string => `${day(at)}, ${clock(at)}`
  function span(minutes: number): string {
    if (minutes < 60) return `${Math.max(1, Math.round(minutes))} min`
    if (minutes < 48 * 60) return `${Math.round(minutes / 60)} h`
    return `${Math.round(minutes / 1440)} d`
  }
  function due(at: string | null, now = (void tick.value, Date.now())): { text: string; past: boolean } {
    if (!at) return { text: t('time.noDue'), past: false }
    const minutes = (now - Date.parse(at)) / 60_000
    if (minutes > 0) return { text: t('time.pastDue', { t: span(minutes) }), past: true }
    const today = dayKey(now)
    if (dayKey(at) === today) return { text: t('time.due', { t: clock(at) }), past: false }
    if (dayKey(daysBefore(Date.parse(at), 1, brand.zone)) === today)
      return { text: t('time.dueTomorrow', { t: clock(at) }), past: false }
    return { text: t('time.dueOn', { d: day(at) }), past: false }
  }
  return { format, clock, day, exact, when, span, due }
}
