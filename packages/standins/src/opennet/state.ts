import { Idempotency } from '../shared/idempotency.ts'
import { Media, type MediaRecord } from '../shared/media.ts'
import { Reactions, type ReactionRecord } from '../shared/reactions.ts'
import { OwnedRecords } from '../shared/ownedRecords.ts'
import type { StreamEvent } from '../shared/streamEvent.ts'

export interface OpenAuthor {
  id: string
  name: string
  handle: string
}
/** An account that somebody may grant access to. */
export interface AccountRecord extends OpenAuthor {
  op: 'account'
  /** Run by somebody else than the person who grants access. */
  others?: boolean
}
export interface OpenPost {
  op: 'post'
  id: string
  author: OpenAuthor
  /** Of a thread or a video. */
  title?: string
  content: string
  /** ISO 8601. */
  published: string
  /** The post this one answers. */
  inReplyTo?: string
  /** How many saw it. */
  views?: number
  /** Shown to more people for money. */
  paid?: boolean
  /** A private conversation with an account. */
  conversation?: { id: string; account: string }
  key?: string
  /** Pictures put beside it. */
  media?: string[]
}
/** Its author changed it. */
export interface EditRecord {
  op: 'edit'
  id: string
  title?: string
  content: string
  /** ISO 8601. */
  at: string
}
/** Its author took it away. */
export interface DeletionRecord {
  op: 'deletion'
  id: string
  at: string
}
export type OpenNetRecord =
  AccountRecord | OpenPost | EditRecord | DeletionRecord | ReactionRecord | MediaRecord

/** As people type it in a search: no case, no accents, no signs before tags. */
export const foldForSearch = (text: string) =>
  ` ${text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}+/gu, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()} `

const created = (post: OpenPost): StreamEvent<OpenPost> => ({
  type: 'Create',
  at: post.published,
  item: post,
})

/** Everything said on an open network, in the order of arrival, and what of it concerns an account. */
export class OpenNetState extends OwnedRecords<OpenNetRecord> {
  readonly posts: OpenPost[] = []
  readonly byId = new Map<string, OpenPost>()
  readonly accounts = new Map<string, AccountRecord>()
  /** What concerns an account: its own posts and what stands under them, threads it is named in, private messages. */
  readonly streams = new Map<string, StreamEvent<OpenPost>[]>()
  readonly published = new Idempotency<OpenPost>()
  /** Accounts that a thread concerns, by the post at its head. */
  private readonly concerned = new Map<string, Set<string>>()
  readonly deleted = new Set<string>()
  readonly reactions = new Reactions()
  readonly media = new Media()
  private readonly folded: string[] = []

  constructor(file: string | null) {
    super(file)
    this.replay()
  }

  protected apply(record: OpenNetRecord): void {
    switch (record.op) {
      case 'account':
        this.accounts.set(record.id, record)
        this.streams.set(record.id, this.streams.get(record.id) ?? [])
        break
      case 'post':
        this.applyPost(record)
        break
      case 'media':
        this.media.add(record)
        break
      case 'reaction':
        this.reactions.add(record)
        break
      case 'edit':
      case 'deletion':
        this.applyChange(record)
    }
  }

  private applyPost(post: OpenPost): void {
    this.posts.push(post)
    this.byId.set(post.id, post)
    this.folded.push(post.conversation ? '' : foldForSearch(`${post.title ?? ''} ${post.content}`))
    if (post.key) this.published.remember(post.key, post)
    if (post.conversation) this.push(post.conversation.account, created(post))
    else this.bringTo(post)
  }

  private push(account: string, event: StreamEvent<OpenPost>): void {
    this.streams.get(account)?.push(event)
  }

  private applyChange(change: EditRecord | DeletionRecord): void {
    const post = this.byId.get(change.id)
    const index = post ? this.posts.indexOf(post) : -1
    if (!post || index < 0 || this.deleted.has(post.id)) return
    const next =
      change.op === 'edit' ? { ...post, title: change.title ?? post.title, content: change.content } : post
    if (change.op === 'deletion') this.deleted.add(post.id)
    this.posts[index] = next
    this.byId.set(post.id, next)
    const hidden = change.op === 'deletion' || post.conversation
    this.folded[index] = hidden ? '' : foldForSearch(`${next.title ?? ''} ${next.content}`)
    const event = { type: change.op === 'edit' ? 'Update' : 'Delete', at: change.at, item: next } as const
    for (const account of this.concernedBy(next)) this.push(account, event)
  }

  /** Posts that anybody can still see. */
  visible(): OpenPost[] {
    return this.posts.filter((post) => !post.conversation && !this.deleted.has(post.id))
  }

  /** A thread that begins to concern an account is brought to it from its head on. */
  private bringTo(post: OpenPost): void {
    const root = this.rootOf(post)
    const known = this.concerned.get(root.id) ?? new Set<string>()
    for (const account of known) this.push(account, created(post))
    for (const account of this.accounts.values()) {
      if (known.has(account.id) || !(post.author.id === account.id || this.names(post, account))) continue
      known.add(account.id)
      this.concerned.set(root.id, known)
      if (root !== post) this.push(account.id, created(root))
      this.push(account.id, created(post))
    }
  }

  /** Whether a post names an account by its handle. */
  names({ content, title = '' }: OpenPost, { handle }: AccountRecord): boolean {
    return (
      ` ${title} ${content} `
        .toLowerCase()
        .match(/@[\p{L}\p{N}._]*[\p{L}\p{N}]/gu)
        ?.includes(`@${handle}`) ?? false
    )
  }

  /** Accounts that hear of a post. */
  concernedBy(post: OpenPost): readonly string[] {
    return post.conversation
      ? [post.conversation.account]
      : [...(this.concerned.get(this.rootOf(post).id) ?? [])]
  }

  nextId(): string {
    return `p${this.posts.length + 1}`
  }

  /** The post at the head of a post's thread. */
  rootOf(post: OpenPost): OpenPost {
    let root = post
    while (root.inReplyTo) {
      const above = this.byId.get(root.inReplyTo)
      if (!above) break
      root = above
    }
    return root
  }

  /**
   * Public posts that hold a phrase, also written as one word, from a place in the order of arrival on.
   *
   * @returns the posts, the place to go on from, and whether there are more
   */
  search(phrase: string, after: number, limit: number): { posts: OpenPost[]; end: number; more: boolean } {
    const wanted = foldForSearch(phrase)
    const squashed = ` ${wanted.replace(/ /g, '')} `
    const posts: OpenPost[] = []
    let at = after
    if (wanted.trim() === '') return { posts, end: this.posts.length, more: false }
    for (; at < this.posts.length && posts.length < limit; at++) {
      const text = this.folded[at]!
      if (text.includes(wanted) || text.includes(squashed)) posts.push(this.posts[at]!)
    }
    return { posts, end: at, more: at < this.posts.length }
  }
}
