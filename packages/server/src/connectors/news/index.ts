import { createHash } from 'node:crypto'
import type { CollectedItem, Connector, ConnectorProfile } from '../contract.ts'
import { parseFeed, type FeedEntry } from './parseFeed.ts'

export const feedMaxBytes = 10_000_000

/** An article as an item. Without a date it counts from when it was first seen, `now`. */
export function itemOfEntry(
  entry: FeedEntry,
  source: { id: string; title: string },
  now: number,
): CollectedItem {
  // Ids of feeds are addresses or free text of any length.
  const outsideId =
    entry.id.length <= 200 && entry.id
      ? entry.id
      : createHash('sha256')
          .update(entry.id || entry.title + entry.text)
          .digest('hex')
  const author = entry.author || source.title
  return {
    outsideId,
    threadId: outsideId,
    threadTitle: entry.title || undefined,
    kind: 'mention',
    direction: 'in',
    author: { outsideId: `${source.id}#${author}`, name: author },
    title: entry.title || undefined,
    text: entry.text,
    at: Math.min(entry.at ?? now, now),
    url: entry.url,
    raw: entry,
  }
}

interface FeedCursor {
  etag?: string
  modified?: string
}

/** News and blogs: RSS 2.0, Atom and JSON Feed, fetched with conditional requests. */
export const newsConnector: Connector = {
  channel: 'news',
  capabilities: {
    reply: false,
    replyLength: 0,
    replyIsPublic: () => true,
    repliesTo: [],
    live: false,
    oauth: false,
  },
  async collect(profile: ConnectorProfile, cursor, http) {
    const known = cursor ? (JSON.parse(cursor) as FeedCursor) : {}
    const answer = await http.text(profile.address, {
      maxBytes: feedMaxBytes,
      headers: {
        accept:
          'application/rss+xml, application/atom+xml, application/feed+json, application/xml;q=0.8, */*;q=0.5',
        ...(known.etag ? { 'if-none-match': known.etag } : {}),
        ...(known.modified ? { 'if-modified-since': known.modified } : {}),
      },
    })
    if (answer.status === 304) return { items: [], cursor: cursor ?? '{}', more: false }
    const feed = parseFeed(answer.body)
    const now = Date.now()
    const items = feed.entries.map((entry) =>
      itemOfEntry(entry, { id: profile.address, title: feed.title }, now),
    )
    return {
      items,
      cursor: JSON.stringify({ etag: answer.etag, modified: answer.modified }),
      more: false,
      total: items.length,
    }
  },
}
