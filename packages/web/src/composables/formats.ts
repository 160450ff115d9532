/** Making a format costs a hundred times its use: each is made once, for its locale and options. */
function madeOnce<Options, Format>(make: (locale: string, options?: Options) => Format) {
  const made = new Map<string, Format>()
  return (locale: string, options?: Options): Format => {
    const key = `${locale} ${JSON.stringify(options)}`
    const known = made.get(key)
    if (known) return known
    const format = make(locale, options)
    made.set(key, format)
    return format
  }
}
export const dateFormat = madeOnce(
  (locale, options?: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat(locale, options),
)
export const numberFormat = madeOnce(
  (locale, options?: Intl.NumberFormatOptions) => new Intl.NumberFormat(locale, options),
)
export const moneyFormat = madeOnce(
  (locale, currency?: string) =>
    new Intl.NumberFormat(locale, { style: 'currency', currency, trailingZeroDisplay: 'stripIfInteger' }),
)
export const percentFormat = madeOnce(
  (locale) => new Intl.NumberFormat(locale, { style: 'percent', maximumFractionDigits: 0 }),
)
export const listFormat = madeOnce(
  (locale, options?: Intl.ListFormatOptions) => new Intl.ListFormat(locale, options),
)
export const languageNames = madeOnce(
  (locale) => new Intl.DisplayNames([locale], { type: 'language', fallback: 'code' }),
)

/**
 * The local day of an instant in a zone, as a lens writes it.
 * @example localDay('2026-08-27T23:30:00Z', 'Europe/London') // '2026-08-28'
 */
export const localDay = (at: string | number | Date, zone: string): string =>
  dateFormat('en-CA', { timeZone: zone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(
    new Date(at),
  )

/**
 * The local hour of an instant in a zone, as a lens writes it.
 * @example localHour('2026-08-27T23:30:00Z', 'Europe/London') // '2026-08-28T00'
 */
export function localHour(at: string | number | Date, zone: string): string {
  const hour = dateFormat('en-GB', { timeZone: zone, hour: '2-digit', hourCycle: 'h23' }).format(new Date(at))
  return `${localDay(at, zone)}T${hour.slice(0, 2)}`
}
