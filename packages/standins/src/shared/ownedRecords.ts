import type { Subscription } from './deliveries.ts'
import { Journal } from './journal.ts'
import type { StoredToken } from './oauth.ts'

/** What every network whose accounts belong to somebody remembers beside its own. */
export type OwnedRecord = ({ op: 'token' } & StoredToken) | ({ op: 'subscription' } & Subscription)

/** A network's memory: its own records, keys and subscriptions, in one journal. */
export abstract class OwnedRecords<Own extends { op: string }> {
  readonly tokens: StoredToken[] = []
  readonly subscriptions: Subscription[] = []
  private readonly journal: Journal<Own | OwnedRecord>

  constructor(file: string | null) {
    this.journal = new Journal(file)
  }

  /** Takes in what was remembered; called by the heir when its own fields are there. */
  protected replay(): void {
    for (const record of this.journal.read()) this.take(record)
  }

  protected abstract apply(record: Own): void

  private take(record: Own | OwnedRecord): void {
    if (record.op === 'token') this.tokens.push(record as OwnedRecord & { op: 'token' })
    else if (record.op === 'subscription')
      this.subscriptions.push(record as OwnedRecord & { op: 'subscription' })
    else this.apply(record as Own)
  }

  add(record: Own | OwnedRecord): void {
    this.take(record)
    this.journal.append(record)
  }
}
