import type { Showing } from '../shared/activity.ts'

/** The parts of ActivityStreams 2.0 that are read. */
export interface Actor {
  id: string
  name?: string
  preferredUsername?: string
  url?: string
}

export interface Activity {
  type: string
  published?: string
  object: Showing & {
    type: string
    id: string
    url?: string
    content?: string
    /** Of the content; HTML where nothing is said. */
    mediaType?: string
    attributedTo: Actor
    published?: string
    updated?: string
    inReplyTo?: string
    /** Private conversations have one. */
    context?: string
    to?: string[]
    paid?: boolean
    views?: number
    key?: string
  }
}

export interface ActivityPage {
  orderedItems: Activity[]
  totalItems: number
  cursor: string
  next?: string
}

/** A page as everybody sees it. */
export interface PublicActor {
  name?: string
  url?: string
  outbox?: string
  followers?: string
}

export interface PublicPosts {
  orderedItems: { published?: string }[]
  next?: string
}

/** A collection of followers, with how many there were at the end of days. */
export interface Followers {
  totalItems?: number
  items?: { day?: string; totalItems?: number }[]
}
