import { Idempotency } from '../shared/idempotency.ts'
import { OwnedRecords } from '../shared/ownedRecords.ts'

/** Whether a text is a number in the form of E.164. */
export const isNumber = (text: string): boolean => /^\+[1-9]\d{6,14}$/.test(text)

/** A number that a business sends from. */
export interface NumberRecord {
  op: 'number'
  /** E.164. */
  id: string
  name: string
}
/** One text, as it travels: of a longer one, one of its parts. */
export interface TextRecord {
  op: 'text'
  id: string
  /** Whose it is: one of the businesses' numbers. */
  number: string
  from: string
  to: string
  text: string
  /** ISO 8601. */
  sent: string
  /** Of what a phone sent in parts. */
  part?: { reference: number; number: number; of: number }
  key?: string
}
/** What became of a text that a business sent. */
export interface DeliveryRecord {
  op: 'delivery'
  id: string
  number: string
  state: 'delivered' | 'failed'
  reason?: string
  at: string
}
/** Nothing reaches this phone: texts to it fail. */
export interface UnreachableRecord {
  op: 'unreachable'
  number: string
  reason: string
}
export type TextmastRecord = NumberRecord | TextRecord | DeliveryRecord | UnreachableRecord

/** Everything at the gateway: numbers, and for each of them texts and deliveries in the order they happened. */
export class TextmastState extends OwnedRecords<TextmastRecord> {
  readonly numbers = new Map<string, NumberRecord>()
  readonly streams = new Map<string, (TextRecord | DeliveryRecord)[]>()
  readonly texts = new Map<string, TextRecord>()
  readonly delivered = new Map<string, DeliveryRecord>()
  readonly unreachable = new Map<string, string>()
  readonly sent = new Idempotency<TextRecord>()
  private count = 0

  constructor(file: string | null) {
    super(file)
    this.replay()
  }

  protected apply(record: TextmastRecord): void {
    switch (record.op) {
      case 'number':
        this.numbers.set(record.id, record)
        this.streams.set(record.id, this.streams.get(record.id) ?? [])
        break
      case 'unreachable':
        this.unreachable.set(record.number, record.reason)
        break
      case 'delivery':
        this.delivered.set(record.id, record)
        this.streams.get(record.number)?.push(record)
        break
      case 'text':
        this.count++
        this.texts.set(record.id, record)
        this.streams.get(record.number)?.push(record)
        if (record.key) this.sent.remember(record.key, record)
    }
  }

  /** Texts that nothing is known of yet. */
  underWay(): TextRecord[] {
    return [...this.texts.values()].filter(
      ({ id, from, number }) => from === number && !this.delivered.has(id),
    )
  }

  nextId(): string {
    return `x${this.count + 1}`
  }
}
