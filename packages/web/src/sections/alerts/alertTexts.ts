import type { AlertAnswer } from '@murrabel/contract'
import type { AlertCondition, FiringMessage } from '@murrabel/core/alerts'
import { parseLens, blankLens } from '@murrabel/core/lens'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { points } from '../watches/watchFigures.ts'

/** Alerts in the reader's words. */
export function useAlertTexts() {
  const { t, number } = useTexts()
  const brand = useBrand()

  function condition(given: AlertCondition): string {
    switch (given.kind) {
      case 'reach':
        return t('alerts.condition.reach', { n: number(given.above) })
      case 'more':
        return t('alerts.condition.more', { n: given.hours })
      case 'net':
        return t('alerts.condition.net', { n: points(given.below), days: given.days })
      default:
        return t(`alerts.condition.${given.kind}`)
    }
  }
  /** What was told, with its figures; one of an earlier version stands as it was written. */
  function told({ phrase, text = '' }: { phrase: FiringMessage | null; text?: string }): string {
    if (!phrase) return text
    const { n, net, low, high, below, ...counts } = phrase.values
    const shares = Object.entries({ net, low, high, below }).map(([name, v]) => [name, points(v ?? 0)])
    const whole = Object.entries({ ...counts, n }).map(([name, v]) => [name, number(v ?? 0)])
    return t(`alerts.told.${phrase.message}`, Object.fromEntries([...shares, ...whole]), n ?? 0)
  }
  function subject(address: string): string {
    const { lens } = parseLens(new URLSearchParams(address), { ...blankLens, unit: 'entries' })
    const name = brand.nameOfWatch(lens.watch) || brand.nameOfGroup(lens.group) || t('alerts.anything')
    return [name, ...lens.sentiments.map((s) => t(`lens.sentiment.${s}`))].join(', ')
  }
  const ways = (alert: AlertAnswer): string =>
    [
      alert.inApp && t('alerts.way.inApp'),
      alert.emails.length && t('alerts.way.email', { n: alert.emails.length }, alert.emails.length),
      alert.webhook && t('alerts.way.webhook'),
      t('alerts.way.feed'),
    ]
      .filter(Boolean)
      .join(', ')
  return { condition, subject, told, ways }
}
