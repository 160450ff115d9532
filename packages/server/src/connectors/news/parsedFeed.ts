export interface FeedEntry {
  id: string
  title: string
  /** Plain text. */
  text: string
  author: string
  /** Epoch milliseconds; null when the feed gives none. */
  at: number | null
  url?: string
}

export interface ParsedFeed {
  format: 'rss' | 'atom' | 'json'
  title: string
  entries: FeedEntry[]
  /** Minutes the feed asks to be left alone (RSS 2.0, ttl); null when it does not. */
  ttlMinutes: number | null
}
