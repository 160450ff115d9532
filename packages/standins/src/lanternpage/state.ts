import { Media, type MediaRecord } from '../shared/media.ts'
import { Reactions, type ReactionRecord } from '../shared/reactions.ts'
import { OwnedRecords } from '../shared/ownedRecords.ts'
import { Idempotency } from '../shared/idempotency.ts'
import type { StreamEvent } from '../shared/streamEvent.ts'

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
  /** Pictures put beside it. */
  media?: string[]
}
/** Its author changed it. */
export interface NoteEditRecord {
  op: 'edit'
  id: string
  content: string
  /** ISO 8601. */
  at: string
}
/** Its author took it away. */
export interface NoteDeletionRecord {
  op: 'deletion'
  id: string
  at: string
}
export type NoteChange = NoteEditRecord | NoteDeletionRecord
export type LanternpageRecord =
  PageRecord | NoteRecord | AudienceRecord | NoteChange | ReactionRecord | MediaRecord

/** Everything on Lanternpage: pages and, in the order of arrival, their posts, comments and private messages. */
export class LanternpageState extends OwnedRecords<LanternpageRecord> {
  readonly pages = new Map<string, PageRecord>()
  /** What happened on a page, in the order of arrival. */
  readonly streams = new Map<string, StreamEvent<NoteRecord>[]>()
  readonly deleted = new Set<string>()
  readonly reactions = new Reactions()
  readonly media = new Media()
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
        this.streams.get(record.page)?.push({ type: 'Create', at: record.published, item: record })
        if (record.key) this.published.remember(record.key, record)
        break
      case 'media':
        this.media.add(record)
        break
      case 'reaction':
        this.reactions.add(record)
        break
      default:
        this.applyChange(record)
    }
  }

  private applyChange(change: NoteChange): void {
    const note = this.notes.get(change.id)
    if (!note || this.deleted.has(note.id)) return
    if (change.op === 'deletion') this.deleted.add(note.id)
    const next = change.op === 'edit' ? { ...note, content: change.content } : note
    this.notes.set(note.id, next)
    const type = change.op === 'edit' ? 'Update' : 'Delete'
    this.streams.get(note.page)?.push({ type, at: change.at, item: next })
  }

  /** What stands on a page now, oldest first. */
  notesOf(page: string): NoteRecord[] {
    return (this.streams.get(page) ?? []).flatMap(({ type, item }) =>
      type === 'Create' && !this.deleted.has(item.id) ? [this.notes.get(item.id) ?? item] : [],
    )
  }

  /** A note that stands. */
  standing(id: string): NoteRecord | undefined {
    return this.deleted.has(id) ? undefined : this.notes.get(id)
  }

  nextId(): string {
    return `n${this.count + 1}`
  }
}
