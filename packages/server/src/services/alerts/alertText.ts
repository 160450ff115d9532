import type { FiringMessage } from '@murrabel/core/alerts'

const number = new Intl.NumberFormat('en')
const points = (value = 0) => `${value < 0 ? '−' : '+'}${Math.abs(Math.round(value * 100))}`
const entries = (n = 0) => (n === 1 ? '1 entry' : `${number.format(n)} entries`)
const whole = (n = 0) => number.format(n)

/** What a firing says, in one sentence with its figures: for mail, feeds and webhooks, which know no reader's language. */
export function firingText({ message, values: v }: FiringMessage): string {
  switch (message) {
    case 'overNet':
      return `Over: net sentiment is ${points(v.net)} again.`
    case 'over':
      return 'Over: the volume is as usual again.'
    case 'any':
      return `${entries(v.n)} new.`
    case 'reach':
      return `${entries(v.n)} with a reach of ${whole(v.above)} or more.`
    case 'spike':
      return `A spike: ${entries(v.n)} where about ${whole(v.expected)} were to be expected.`
    case 'more':
      return `${entries(v.n)} in ${v.hours} hours, more than the usual ${whole(v.expected)} at most.`
    case 'net':
      return v.net === undefined
        ? ''
        : `Net sentiment of ${v.days} days is ${points(v.net)} (${points(v.low)} to ${points(v.high)}, n = ${whole(v.read)}), under ${points(v.below)}.`
  }
}
