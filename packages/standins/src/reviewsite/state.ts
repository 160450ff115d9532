import { Idempotency } from '../shared/idempotency.ts'
import { OwnedRecords } from '../shared/ownedRecords.ts'
import type { StreamEvent } from '../shared/streamEvent.ts'

export interface BusinessRecord {
  op: 'business'
  id: string
  name: string
  street: string
  town: string
  phone: string
  /** Run by somebody else than the person who grants access. */
  others?: boolean
}
export interface ReviewRecord {
  op: 'review' | 'question'
  id: string
  business: string
  author: { id: string; name: string }
  /** Of a review, where the site has titles. */
  title?: string
  /** 1 to 5; questions have none. */
  rating?: number
  text: string
  /** ISO 8601. */
  created: string
  useful?: number
}
export interface AnswerRecord {
  op: 'answer'
  id: string
  business: string
  /** The review or question. */
  parent: string
  author: { id: string; name: string }
  owner: boolean
  text: string
  created: string
  key?: string
}
/** Its author changed it: the words, or the stars. */
export interface ReviewEditRecord {
  op: 'edit'
  id: string
  text?: string
  rating?: number
  /** ISO 8601. */
  at: string
}
export interface ReviewDeletionRecord {
  op: 'deletion'
  id: string
  at: string
}
/** An owner thinks that a review should not stand there. */
export interface ReportRecord {
  op: 'report'
  id: string
  item: string
  business: string
  reason: string
  text: string
  created: string
  key?: string
}
export type ReviewSiteItem = ReviewRecord | AnswerRecord
export type ReviewSiteRecord =
  BusinessRecord | ReviewSiteItem | ReviewEditRecord | ReviewDeletionRecord | ReportRecord

/** Everything on a review site: businesses, and in the order of arrival their reviews, questions and answers. */
export class ReviewSiteState extends OwnedRecords<ReviewSiteRecord> {
  readonly businesses = new Map<string, BusinessRecord>()
  /** What happened at a business, in the order of arrival. */
  readonly streams = new Map<string, StreamEvent<ReviewSiteItem>[]>()
  readonly deleted = new Set<string>()
  readonly items = new Map<string, ReviewSiteItem>()
  readonly answered = new Idempotency<AnswerRecord>()
  readonly reports: ReportRecord[] = []
  readonly reported = new Idempotency<ReportRecord>()
  private count = 0

  constructor(file: string | null) {
    super(file)
    this.replay()
  }

  protected apply(record: ReviewSiteRecord): void {
    switch (record.op) {
      case 'business':
        this.businesses.set(record.id, record)
        this.streams.set(record.id, this.streams.get(record.id) ?? [])
        break
      case 'report':
        this.reports.push(record)
        if (record.key) this.reported.remember(record.key, record)
        break
      case 'edit':
      case 'deletion':
        this.applyChange(record)
        break
      default:
        this.count++
        this.items.set(record.id, record)
        this.streams.get(record.business)?.push({ type: 'Create', at: record.created, item: record })
        if (record.op === 'answer' && record.key) this.answered.remember(record.key, record)
    }
  }

  private applyChange(change: ReviewEditRecord | ReviewDeletionRecord): void {
    const item = this.items.get(change.id)
    if (!item || this.deleted.has(item.id)) return
    if (change.op === 'deletion') this.deleted.add(item.id)
    const next =
      change.op === 'edit' && item.op !== 'answer'
        ? { ...item, text: change.text ?? item.text, rating: change.rating ?? item.rating }
        : item
    this.items.set(item.id, next)
    const type = change.op === 'edit' ? 'Update' : 'Delete'
    this.streams.get(item.business)?.push({ type, at: change.at, item: next })
  }

  /** What stands at a business now, oldest first. */
  itemsOf(business: string): ReviewSiteItem[] {
    return (this.streams.get(business) ?? []).flatMap(({ type, item }) =>
      type === 'Create' && !this.deleted.has(item.id) ? [this.items.get(item.id) ?? item] : [],
    )
  }

  nextId(): string {
    return `w${this.count + 1}`
  }
}
