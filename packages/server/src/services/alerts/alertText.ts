import type { AlertCondition, Telling } from '@murrabel/core/alerts'

const number = new Intl.NumberFormat('en')
const points = (value: number) => `${value < 0 ? '−' : '+'}${Math.abs(Math.round(value * 100))}`
const entries = (n: number) => (n === 1 ? '1 entry' : `${number.format(n)} entries`)

/** What a telling says, in one sentence with its figures. */
export function tellingText(condition: AlertCondition, telling: Omit<Telling, 'at' | 'entries'>): string {
  const { kind, count, expected, net } = telling
  if (kind === 'end')
    return condition.kind === 'net' && net
      ? `Over: net sentiment is ${points(net.net)} again.`
      : 'Over: the volume is as usual again.'
  switch (condition.kind) {
    case 'any':
      return `${entries(count)} new.`
    case 'reach':
      return `${entries(count)} with a reach of ${number.format(condition.above)} or more.`
    case 'spike':
      return `A spike: ${entries(count)} where about ${number.format(Math.round(expected ?? 0))} were to be expected.`
    case 'more':
      return `${entries(count)} in ${condition.hours} hours, more than the usual ${number.format(Math.round(expected ?? 0))} at most.`
    case 'net':
      return net
        ? `Net sentiment of ${condition.days} days is ${points(net.net)} (${points(net.low)} to ${points(net.high)}, n = ${number.format(net.n)}), under ${points(condition.below)}.`
        : ''
  }
}
