import { splitText } from '@murrabel/core/texting'
import type { DeliveryRecord, TextmastState, TextRecord } from './state.ts'

/** What a phone sends. @param parts only these of its parts, for tests of what gets lost */
export interface PhoneText {
  number: string
  from: string
  text: string
  parts?: readonly number[]
}

export interface Traffic {
  /** A phone texts a business; what is long travels in parts, each announced by itself. Gives the parts' ids. */
  fromPhone(message: PhoneText): string[]
  /** A business texts a phone, which has it some moments later, or cannot be reached. */
  toPhone(text: TextRecord): TextRecord
  /** What was under way when the gateway ended arrives now. */
  resume(): void
  stop(): void
}

/** Texts on their way through the gateway. */
export function trafficOf(
  state: TextmastState,
  { announce, deliveryMs }: { announce: (record: TextRecord | DeliveryRecord) => void; deliveryMs: number },
): Traffic {
  /** Each phone numbers what it sends by itself, and goes on with that although the gateway was away meanwhile. */
  const references = new Map<string, number>()
  const lastOf = (from: string): number =>
    references.get(from) ??
    [...state.texts.values()].findLast((text) => text.from === from && text.part)?.part?.reference ??
    0
  let stopped = false
  const publish = <T extends TextRecord | DeliveryRecord>(record: T): T => {
    state.add(record)
    announce(record)
    return record
  }
  const deliver = ({ id, number, to }: TextRecord): void => {
    if (stopped || state.delivered.has(id)) return
    const reason = state.unreachable.get(to)
    const at = new Date().toISOString()
    const told = { op: 'delivery', id, number, at } as const
    publish(reason ? { ...told, state: 'failed', reason } : { ...told, state: 'delivered' })
  }
  const deliverSoon = (text: TextRecord): void => void setTimeout(() => deliver(text), deliveryMs).unref()
  return {
    fromPhone({ number, from, text, parts: chosen }) {
      const pieces = splitText(text).parts
      const reference = (lastOf(from) + 1) % 256
      references.set(from, reference)
      const sent = new Date().toISOString()
      return (chosen ?? pieces.map((_, i) => i + 1)).map((n) => {
        const part = pieces.length > 1 ? { part: { reference, number: n, of: pieces.length } } : {}
        const words = pieces[n - 1] ?? ''
        return publish({
          op: 'text',
          id: state.nextId(),
          number,
          from,
          to: number,
          text: words,
          sent,
          ...part,
        }).id
      })
    },
    toPhone(text) {
      publish(text)
      deliverSoon(text)
      return text
    },
    resume: () => state.underWay().forEach(deliverSoon),
    stop: () => void (stopped = true),
  }
}
