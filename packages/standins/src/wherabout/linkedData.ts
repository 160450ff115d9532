import type { AnswerRecord, BusinessRecord, WheraboutItem } from './state.ts'

/** An item as a schema.org DataFeedItem. */
export function feedItemOf(item: WheraboutItem, address: string): Record<string, unknown> {
  return {
    '@type': 'DataFeedItem',
    dateCreated: item.created,
    item: item.op === 'answer' ? answerOf(item, address) : subjectOf(item, address),
  }
}

function subjectOf(item: Exclude<WheraboutItem, AnswerRecord>, address: string): Record<string, unknown> {
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
