import { useI18n } from 'vue-i18n'
import { dateFormat, languageNames, listFormat, moneyFormat, numberFormat, percentFormat } from './formats.ts'
import { regionOf, useDates } from './useDates.ts'
import { useT } from './useT.ts'

/** Texts, lists, figures and dates in the reader's language. */
export function useTexts() {
  const { tm: messages, locale } = useI18n()
  const { t, called } = useT()
  /** A list of short texts. */
  const tm = (key: string) => messages(key) as string[]
  const list = (items: readonly string[]) =>
    // To make the format takes as long as to draw two rows: for one text there is no need.
    items.length < 2
      ? (items[0] ?? '')
      : listFormat(regionOf(locale.value), { type: 'conjunction' }).format(items)
  const number = (value: number) => numberFormat(locale.value).format(value)
  /** A sum; without a currency the figure alone. Whole sums have no cents. */
  const money = (value: number, currency: string | null) =>
    currency === null ? number(value) : moneyFormat(locale.value, currency).format(value)
  /** A share of 0 to 1: "72%". */
  const percent = (share: number) => percentFormat(locale.value).format(share)
  /** A language in the reader's own: "fr" is "French". */
  function languageName(code: string): string {
    if (code === 'und') return t('lens.unknownLanguage')
    return languageNames(locale.value).of(code) ?? code
  }
  /** An hour of the local week, 0 (Monday, midnight) to 167, in words. */
  function weekHour(hour: number): string {
    const monday = Date.UTC(2026, 10, 23)
    return dateFormat(regionOf(locale.value), {
      timeZone: 'UTC',
      weekday: 'long',
      hour: '2-digit',
      minute: '2-digit',
    }).format(monday + hour * 3_600_000)
  }
  return { ...useDates(), languageName, weekHour, t, called, tm, locale, list, number, money, percent }
}
