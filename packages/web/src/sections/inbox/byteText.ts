const steps = ['byte', 'kilobyte', 'megabyte', 'gigabyte'] as const

/** @example byteText(2_500_000, 'en') // '2.5 MB' */
export function byteText(bytes: number, locale: string): string {
  const step = Math.min(steps.length - 1, Math.max(0, Math.floor(Math.log10(Math.max(1, bytes)) / 3)))
  const value = bytes / 1000 ** step
  return new Intl.NumberFormat(locale, {
    style: 'unit',
    unit: steps[step],
    maximumFractionDigits: value < 10 && step > 0 ? 1 : 0,
  }).format(value)
}
