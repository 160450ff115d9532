import { createHash } from 'node:crypto'
import robotsParser from 'robots-parser'
import type { CollectedItem, Connector, ConnectorProfile, NetworkHttp } from '../contract.ts'
import { InnerAddressError } from '../shared/innerAddress.ts'
import { NetworkFailure } from '../shared/outcome.ts'
import type { FeedEntry } from './parsedFeed.ts'

export const feedMaxBytes = 10_000_000

/** An article as an item. Without a date it counts from when it was first seen. */
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
    at: entry.at === null ? Number.NaN : Math.min(entry.at, now),
    url: entry.url,
    raw: entry,
  }
}

interface FeedCursor {
  etag?: string
  modified?: string
  /** Epoch milliseconds before which the feed asks not to be fetched again. */
  notBefore?: number
  /** What its robots.txt said, and when that was read. */
  robots?: { at: number; allowed: boolean }
}

const hour = 3_600_000
/** A feed may ask for rest, within reason. */
const longestRest = 24 * hour
const robotsFor = 24 * hour
/** The name under which we ask. */
export const userAgent = 'MurrabelFeedReader'

/** Whether the feed's host lets us fetch it (RFC 9309): no file, or one that cannot be had just now, forbids nothing. */
async function mayFetch(profile: ConnectorProfile, known: FeedCursor, now: number, http: NetworkHttp) {
  if (known.robots && now - known.robots.at < robotsFor) return known.robots
  const address = new URL('/robots.txt', profile.address).href
  try {
    const { body } = await http.text(address, { headers: { 'user-agent': userAgent }, maxBytes: 500_000 })
    return { at: now, allowed: robotsParser(address, body).isAllowed(profile.address, userAgent) !== false }
  } catch (error) {
    if (error instanceof InnerAddressError) throw error
    // A host that does not answer here will not answer for the feed either: one wait for both.
    if (error instanceof NetworkFailure && (error.kind === 'transient' || error.kind === 'rateLimited'))
      throw error
    return { at: now, allowed: true }
  }
}

/** News and blogs: RSS 2.0, Atom and JSON Feed, fetched politely: conditional requests, robots.txt, and the rest they ask for. */
export const newsConnector: Connector = {
  channel: 'news',
  capabilities: {
    reply: false,
    replyLength: 0,
    replyIsPublic: () => true,
    repliesTo: [],
    live: false,
    lookEverySeconds: 300,
    passesBy: true,
    oauth: false,
  },
  async collect(profile: ConnectorProfile, cursor, http, tools) {
    const known = cursor ? (JSON.parse(cursor) as FeedCursor) : {}
    const now = Date.now()
    if (known.notBefore && now < known.notBefore)
      return { items: [], unread: [], cursor: cursor ?? '{}', more: false }
    const robots = await mayFetch(profile, known, now, http)
    if (!robots.allowed)
      throw new NetworkFailure('refused', 'the robots.txt of this site asks not to fetch this feed')
    const answer = await http.text(profile.address, {
      maxBytes: feedMaxBytes,
      headers: {
        'user-agent': userAgent,
        accept:
          'application/rss+xml, application/atom+xml, application/feed+json, application/xml;q=0.8, */*;q=0.5',
        ...(known.etag ? { 'if-none-match': known.etag } : {}),
        ...(known.modified ? { 'if-modified-since': known.modified } : {}),
      },
    })
    const next = (rest: number): string =>
      JSON.stringify({
        etag: answer.etag ?? known.etag,
        modified: answer.modified ?? known.modified,
        notBefore: now + Math.min(longestRest, rest),
        robots,
      } satisfies FeedCursor)
    const fresh = (answer.maxAgeSeconds ?? 0) * 1000
    if (answer.status === 304) return { items: [], unread: [], cursor: next(fresh), more: false }
    const feed = await tools.parseFeed(answer.body)
    const items = feed.entries.map((entry) =>
      itemOfEntry(entry, { id: profile.address, title: feed.title }, now),
    )
    return {
      items,
      unread: [],
      cursor: next(Math.max(fresh, (feed.ttlMinutes ?? 0) * 60_000)),
      more: false,
      total: items.length,
    }
  },
}
