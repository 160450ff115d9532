import type { EntryKind } from '@murrabel/core/lens'
import type { CollectedItem, CollectedPage, Connector, ConnectorProfile, GoneItem } from '../contract.ts'
import { hookSubscriptions } from './hookSubscriptions.ts'
import { NetworkFailure } from './outcome.ts'
import { lastPart } from './activity.ts'
import { everyPage, linkWithin } from './publicPages.ts'
import { listOf, readParts } from './readParts.ts'
import type { Business, DataFeed, FeedItem, RatingsPage, Thing } from './schemaOrg.ts'

const typeIsBusiness = (type: string | undefined) => type === 'LocalBusiness' || type === 'Organization'

/** A schema.org Review, Question or Comment as an item; null for what is none of them or lacks its date. */
export function itemOf(
  { item, dateCreated, dateModified }: FeedItem,
  profile: ConnectorProfile,
): CollectedItem | null {
  const at = Date.parse(item.dateCreated ?? dateCreated ?? '')
  if (!item['@id'] || !item.author) return null
  const own = typeIsBusiness(item.author['@type']) && lastPart(item.author['@id'] ?? '') === profile.outsideId
  const shared = {
    outsideId: lastPart(item['@id']),
    direction: own ? ('out' as const) : ('in' as const),
    author: {
      outsideId: lastPart(item.author['@id'] ?? ''),
      name: item.author.name ?? 'A visitor',
      url: item.author['@id'],
    },
    at,
    changedAt: Date.parse(dateModified ?? item.dateCreated ?? dateCreated ?? ''),
    url: item.url,
    raw: item,
  }
  switch (item['@type']) {
    case 'Review':
      return {
        ...shared,
        threadId: shared.outsideId,
        kind: 'review',
        title: item.name,
        text: item.reviewBody ?? '',
        rating: ratingOf(item),
        reach: item.upvoteCount,
      }
    case 'Question':
      return {
        ...shared,
        threadId: shared.outsideId,
        kind: 'question',
        text: item.text ?? '',
        reach: item.upvoteCount,
      }
    case 'Comment':
    case 'Answer':
      if (!item.parentItem?.['@id']) return null
      return {
        ...shared,
        threadId: lastPart(item.parentItem['@id']),
        kind: 'comment',
        text: item.text ?? '',
        replyKey: item.identifier,
      }
    default:
      return null
  }
}

/** What was taken away: the feed tells when (schema.org dateDeleted). */
const goneOf = ({ dateDeleted, item }: FeedItem): GoneItem | null =>
  dateDeleted && item?.['@id'] ? { outsideId: lastPart(item['@id']), at: Date.parse(dateDeleted) } : null

/** A rating on any scale, brought to 1 to 5. */
function ratingOf({ reviewRating }: Thing): number | undefined {
  if (!reviewRating) return undefined
  const { ratingValue, bestRating = 5, worstRating = 1 } = reviewRating
  const value = Number(ratingValue)
  if (!(value >= worstRating && value <= bestRating)) return undefined
  return 1 + ((value - worstRating) / (bestRating - worstRating)) * 4
}

const base = (profile: ConnectorProfile) =>
  `${profile.address}/api/businesses/${encodeURIComponent(profile.outsideId)}`

/** What all such sites do alike. */
const siteOf = {
  async profiles(address, token, http) {
    const answer = await http.json<{ itemListElement: Business[] }>(`${address}/api/businesses`, { token })
    return answer.itemListElement.map((b) => ({ outsideId: lastPart(b['@id']), name: b.name, url: b.url }))
  },
  async look(network, address, http) {
    const accept = 'application/ld+json'
    const business = await http.json<Partial<Business>>(address, { headers: { accept } })
    const first = linkWithin(network, business.subjectOf?.url, address)
    const pages = await everyPage<RatingsPage>(http, { network, first, accept })
    return {
      name: business.name ?? address,
      url: linkWithin(network, business.url ?? address, address),
      followers: [],
      posts: [],
      ratings: pages.flatMap(({ dataFeedElement }) =>
        listOf<FeedItem>(dataFeedElement).flatMap(({ dateCreated, item }) => {
          const [at, rating] = [Date.parse(dateCreated ?? ''), ratingOf(item)]
          return Number.isNaN(at) || rating === undefined ? [] : [{ at, rating }]
        }),
      ),
    }
  },
  async collect(profile, cursor, http): Promise<CollectedPage> {
    const feed = await http.json<DataFeed>(
      `${base(profile)}/feed?after=${encodeURIComponent(cursor ?? '0')}`,
      { token: profile.accessToken },
    )
    return {
      ...readParts(listOf<FeedItem>(feed.dataFeedElement), (element) => itemOf(element, profile), goneOf),
      cursor: feed.cursor,
      more: feed.more,
      total: feed.numberOfItems,
    }
  },
  async send(profile, action, http) {
    const answer = await http.json<FeedItem>(
      `${base(profile)}/items/${encodeURIComponent(action.threadId)}/answer`,
      {
        method: 'PUT',
        token: profile.accessToken,
        headers: { 'idempotency-key': action.key },
        body: { text: action.text },
      },
    )
    const item = itemOf(answer, profile)
    if (!item) throw new NetworkFailure('transient', 'the answer could not be read')
    return { outsideId: item.outsideId, url: item.url, at: item.at }
  },
  async report(profile, { entryId, reason, text, key }, http) {
    await http.json(`${base(profile)}/items/${encodeURIComponent(entryId)}/reports`, {
      method: 'POST',
      token: profile.accessToken,
      headers: { 'idempotency-key': key },
      body: { reason, text },
    })
  },
  receive(profile, body) {
    const { data } = body as { data?: FeedItem }
    return readParts(data?.item ? [data] : [], (element) => itemOf(element, profile), goneOf)
  },
  // Kept raw is the thing itself.
  readPart: (profile, raw) =>
    itemOf('item' in (raw as object) ? (raw as FeedItem) : { item: raw as Thing }, profile),
  ...hookSubscriptions((profile) => `${base(profile)}/subscriptions`),
} satisfies Partial<Connector>

/** A site of star reviews with an owner's answer and, where it has them, questions; as schema.org. */
export const reviewSiteConnector = ({
  channel,
  replyLength,
  repliesTo,
  reports = false,
}: {
  channel: string
  replyLength: number
  repliesTo: readonly EntryKind[]
  reports?: boolean
}): Connector => ({
  channel,
  capabilities: {
    reply: true,
    replyLength,
    replyIsPublic: () => true,
    repliesTo,
    live: true,
    oauth: true,
    reports,
  },
  ...siteOf,
})
