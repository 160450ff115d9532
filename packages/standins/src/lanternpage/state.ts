import { OwnedRecords } from '../shared/ownedRecords.ts'
import { Idempotency } from '../shared/idempotency.ts'

export interface PageRecord {
  op: 'page'
  id: string
  name: string
  /** Run by somebody else than the person who grants access. */
  others?: boolean
}
/** How many follow a page at the end of a day, as Lanternpage tells everybody. */
export interface AudienceRecord {
  op: 'audience'
  page: string
  /** YYYY-MM-DD. */
  day: string
  followers: number
}
export interface NoteRecord {
  op: 'note'
  id: string
  page: string
  author: { id: string; name: string; handle: string }
  content: string
  /** ISO 8601. */
  published: string
  inReplyTo?: string
  /** A private conversation. */
  conversation?: string
  paid?: boolean
  reach?: number
  key?: string
}
export type LanternpageRecord = PageRecord | NoteRecord | AudienceRecord

/** Everything on Lanternpage: pages and, in the order of arrival, their posts, comments and private messages. */
export class LanternpageState extends OwnedRecords<LanternpageRecord> {
  readonly pages = new Map<string, PageRecord>()
  readonly streams = new Map<string, NoteRecord[]>()
  readonly audiences = new Map<string, AudienceRecord[]>()
  readonly notes = new Map<string, NoteRecord>()
  readonly published = new Idempotency<NoteRecord>()
  private count = 0

  constructor(file: string | null) {
    super(file)
    this.replay()
  }

  protected apply(record: LanternpageRecord): void {
    switch (record.op) {
      case 'page':
        this.pages.set(record.id, record)
        this.streams.set(record.id, this.streams.get(record.id) ?? [])
        break
      case 'audience':
        this.audiences.set(record.page, [...(this.audiences.get(record.page) ?? []), record])
        break
      case 'note':
        this.count++
        this.notes.set(record.id, record)
        this.streams.get(record.page)?.push(record)
        if (record.key) this.published.remember(record.key, record)
        break
    }
  }

  nextId(): string {
    return `n${this.count + 1}`
  }
}
