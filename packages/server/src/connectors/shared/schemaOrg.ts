/** The parts of schema.org that are read. */
export interface Thing {
  '@type': string
  '@id'?: string
  url?: string
  /** Its title. */
  name?: string
  text?: string
  reviewBody?: string
  dateCreated?: string
  author?: { '@type'?: string; '@id'?: string; name?: string }
  reviewRating?: { ratingValue: number | string; bestRating?: number; worstRating?: number }
  upvoteCount?: number
  parentItem?: { '@id'?: string }
  identifier?: string
}

export interface FeedItem {
  '@type'?: string
  dateCreated?: string
  dateModified?: string
  dateDeleted?: string
  item: Thing
}

export interface DataFeed {
  dataFeedElement: FeedItem[]
  numberOfItems: number
  cursor: string
  more: boolean
}

export interface Business {
  '@id': string
  name: string
  url?: string
  /** Where its ratings are. */
  subjectOf?: { url?: string }
}

/** A page of a public list of ratings. */
export interface RatingsPage {
  dataFeedElement: FeedItem[]
  next?: string
}
