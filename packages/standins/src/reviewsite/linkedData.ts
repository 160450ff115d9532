import type { StreamEvent } from '../shared/streamEvent.ts'
import type { AnswerRecord, BusinessRecord, ReviewSiteItem } from './state.ts'

/** An item as a schema.org DataFeedItem. */
export function feedItemOf(item: ReviewSiteItem, address: string): Record<string, unknown> {
  return {
    '@type': 'DataFeedItem',
    dateCreated: item.created,
    item: item.op === 'answer' ? answerOf(item, address) : subjectOf(item, address),
  }
}

/** What happened to an item, as a schema.org DataFeedItem with its dates. */
export function feedEventOf({ type, at, item }: StreamEvent<ReviewSiteItem>, address: string) {
  if (type === 'Create') return feedItemOf(item, address)
  if (type === 'Update') return { ...feedItemOf(item, address), dateModified: at }
  return {
    '@type': 'DataFeedItem',
    dateDeleted: at,
    item: { '@type': 'CreativeWork', '@id': `${address}/items/${item.id}` },
  }
}

function subjectOf(item: Exclude<ReviewSiteItem, AnswerRecord>, address: string): Record<string, unknown> {
  const shared = {
    '@id': `${address}/items/${item.id}`,
    url: `${address}/items/${item.id}`,
    author: personOf(item.author, address),
    dateCreated: item.created,
    upvoteCount: item.useful ?? 0,
  }
  if (item.op === 'question')
    return {
      '@type': 'Question',
      ...shared,
      text: item.text,
      about: { '@id': `${address}/businesses/${item.business}` },
    }
  return {
    '@type': 'Review',
    ...shared,
    name: item.title,
    reviewBody: item.text || undefined,
    reviewRating: { '@type': 'Rating', ratingValue: item.rating, bestRating: 5, worstRating: 1 },
    itemReviewed: { '@id': `${address}/businesses/${item.business}` },
  }
}

function answerOf(item: AnswerRecord, address: string): Record<string, unknown> {
  return {
    '@type': 'Comment',
    '@id': `${address}/items/${item.id}`,
    text: item.text,
    dateCreated: item.created,
    parentItem: { '@id': `${address}/items/${item.parent}` },
    author: item.owner
      ? { '@type': 'LocalBusiness', '@id': `${address}/businesses/${item.business}`, name: item.author.name }
      : personOf(item.author, address),
    identifier: item.key,
  }
}

const personOf = ({ id, name }: { id: string; name: string }, address: string) => ({
  '@type': 'Person',
  '@id': `${address}/people/${id}`,
  name,
})

/** What everybody may know of a business: its rating, and where all its ratings are. */
export function publicBusiness(
  business: BusinessRecord,
  stream: readonly ReviewSiteItem[],
  address: string,
): Record<string, unknown> {
  const ratings = stream.flatMap((item) => (item.op === 'review' && item.rating ? [item.rating] : []))
  const mean = ratings.reduce((sum, rating) => sum + rating, 0) / ratings.length
  return {
    '@context': 'https://schema.org',
    ...businessOf(business, address),
    aggregateRating: ratings.length
      ? {
          '@type': 'AggregateRating',
          ratingValue: Math.round(mean * 10) / 10,
          ratingCount: ratings.length,
          bestRating: 5,
          worstRating: 1,
        }
      : undefined,
    subjectOf: { '@type': 'DataFeed', url: `${address}/businesses/${business.id}/ratings` },
  }
}

/** A page of a business's ratings, without their words. */
export function ratingsPage(
  stream: readonly ReviewSiteItem[],
  { after, size, address }: { after: number; size: number; address: string },
): Record<string, unknown> {
  const reviews = stream.filter((item) => item.op === 'review')
  const items = reviews.slice(after, after + size)
  const end = after + items.length
  return {
    '@context': 'https://schema.org',
    '@type': 'DataFeed',
    numberOfItems: reviews.length,
    dataFeedElement: items.map((item) => ({
      '@type': 'DataFeedItem',
      dateCreated: item.created,
      item: {
        '@type': 'Review',
        '@id': `${address}/items/${item.id}`,
        reviewRating: {
          '@type': 'Rating',
          ratingValue: 'rating' in item ? item.rating : undefined,
          bestRating: 5,
          worstRating: 1,
        },
      },
    })),
    next: end < reviews.length ? `?after=${end}` : undefined,
  }
}

export function businessOf(
  { id, name, street, town, phone }: BusinessRecord,
  address: string,
): Record<string, unknown> {
  return {
    '@type': 'LocalBusiness',
    '@id': `${address}/businesses/${id}`,
    url: `${address}/businesses/${id}`,
    name,
    telephone: phone,
    address: { '@type': 'PostalAddress', streetAddress: street, addressLocality: town },
  }
}
