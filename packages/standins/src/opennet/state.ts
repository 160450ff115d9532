import { Journal } from '../shared/journal.ts'

export interface OpenAuthor {
  id: string
  name: string
  handle: string
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
}

/** As people type it in a search: no case, no accents, no signs before tags. */
export const foldForSearch = (text: string) =>
  ` ${text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}+/gu, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()} `

/** Everything said on an open network, in the order of arrival. */
export class OpenNetState {
  readonly posts: OpenPost[] = []
  readonly byId = new Map<string, OpenPost>()
  private readonly folded: string[] = []
  private readonly journal: Journal<OpenPost>

  constructor(file: string | null) {
    this.journal = new Journal(file)
    for (const post of this.journal.read()) this.apply(post)
  }

  private apply(post: OpenPost): void {
    this.posts.push(post)
    this.byId.set(post.id, post)
    this.folded.push(foldForSearch(`${post.title ?? ''} ${post.content}`))
  }

  add(post: OpenPost): void {
    this.apply(post)
    this.journal.append(post)
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
   * Posts that hold a phrase, also written as one word, from a place in the order of arrival on.
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
