import type { AlertCondition } from './condition.ts'
import type { Firing } from './rehearse.ts'

/** What a firing says: which sentence, and its figures, to be written in the language of whoever reads it. */
export interface FiringMessage {
  message: 'any' | 'reach' | 'spike' | 'more' | 'net' | 'over' | 'overNet'
  /** Entries, hours, days and reach as whole numbers; net sentiments (`net`, `low`, `high`, `below`) from -1 to 1. */
  values: Partial<
    Record<'n' | 'expected' | 'above' | 'hours' | 'days' | 'net' | 'low' | 'high' | 'below' | 'read', number>
  >
}

/**
 * The sentence of a firing.
 *
 * @example firingMessage({ kind: 'more', hours: 24 }, { kind: 'begin', count: 40, expected: 11.6, net: null })
 * // { message: 'more', values: { n: 40, hours: 24, expected: 12 } }
 */
export function firingMessage(
  condition: AlertCondition,
  { kind, count, expected, net }: Omit<Firing, 'at' | 'entries'>,
): FiringMessage {
  const n = count
  const usual = Math.round(expected ?? 0)
  if (kind === 'end')
    return condition.kind === 'net' && net
      ? { message: 'overNet', values: { net: net.net } }
      : { message: 'over', values: {} }
  switch (condition.kind) {
    case 'any':
      return { message: 'any', values: { n } }
    case 'reach':
      return { message: 'reach', values: { n, above: condition.above } }
    case 'spike':
      return { message: 'spike', values: { n, expected: usual } }
    case 'more':
      return { message: 'more', values: { n, hours: condition.hours, expected: usual } }
    case 'net': {
      const { days, below } = condition
      const read = net ? { net: net.net, low: net.low, high: net.high, read: net.n } : {}
      return { message: 'net', values: { days, below, ...read } }
    }
  }
}
