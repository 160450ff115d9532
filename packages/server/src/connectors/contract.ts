import type { EntryKind } from '@murrabel/core/lens'
import type { ParsedFeed } from './news/parsedFeed.ts'

/** What a channel can do; the interface offers no more than that. */
export interface Capabilities {
  /** Answers can be written. */
  reply: boolean
  /** Characters of an answer. */
  replyLength: number
  /** An answer to this kind is public. */
  replyIsPublic(kind: EntryKind): boolean
  /** Kinds that can be answered. */
  repliesTo: readonly EntryKind[]
  /** Reviews can be reported to the network, which decides. */
  reports?: boolean
  /** An answer can be changed, and taken back, after it has gone out. */
  changes?: boolean
  /** New entries are announced by webhook; otherwise they are fetched now and then. */
  live: boolean
  /** Access is granted by OAuth; otherwise an address is enough. */
  oauth: boolean
  /** What is said there by anybody can be searched for. */
  search?: boolean
}

/** What a connector knows of the profile it works for. */
export interface ConnectorProfile {
  id: number
  outsideId: string
  /** Base address of the network, or the address of a feed. */
  address: string
  /** Key to the network; empty where none is needed. */
  accessToken: string
  /** What the brand's watches ask for, when this is a search and no account. */
  terms?: readonly string[]
}

/** One piece of text as it came, in our terms. */
export interface CollectedItem {
  outsideId: string
  /**
   * What binds a thread together on the network. One that begins with "post/" is a post of ours, under which each
   * comment opens a thread of its own.
   */
  threadId: string
  /** The entry this one answers: it goes into that entry's thread, unless that is a post. */
  parentId?: string
  threadTitle?: string
  kind: EntryKind
  /** Said to us, or only heard. Left out: mentions are heard, everything else is said to us. */
  origin?: 'sent' | 'heard'
  direction: 'in' | 'out'
  author: { outsideId: string; name: string; handle?: string; url?: string }
  title?: string
  text: string
  /** 1 to 5. */
  rating?: number
  /** Epoch milliseconds; NaN where the network gives none that can be read. */
  at: number
  /** When it was last as it is now, epoch milliseconds, where the network tells changes: an older one changes nothing. */
  changedAt?: number
  url?: string
  reach?: number
  private?: boolean
  paid?: boolean
  /** The key of our outbox, where the network gives it back. */
  replyKey?: string
  /** Exactly as received. */
  raw: unknown
}

/** A piece of a page or delivery that could not be read, as it came, with why not. */
export interface UnreadPart {
  /** Its id on the network, or a hash of it. */
  outsideId: string
  raw: unknown
  reason: string
}

/** Something that its author, or the network, took away: its text must not be kept. */
export interface GoneItem {
  outsideId: string
  /** Epoch milliseconds; NaN where the network does not say. */
  at: number
}

export interface ReadParts {
  items: CollectedItem[]
  unread: UnreadPart[]
  gone?: GoneItem[]
}

export interface CollectedPage extends ReadParts {
  /** Where to go on; kept only when the page is stored. */
  cursor: string
  more: boolean
  /** Items in all, where the network says it. */
  total?: number
}

export interface OutsideProfile {
  outsideId: string
  name: string
  url?: string
}

export interface ReplyAction {
  /** The thread's id on the network, and the entry that is answered. */
  threadId: string
  entryId: string
  kind: EntryKind
  text: string
  /** The network does it once for each key. */
  key: string
}

export interface Sent {
  outsideId: string
  url?: string
  at: number
}

export interface HookSubscription {
  callback: string
  /** As in Standard Webhooks. */
  secret: string
}

/** What everybody sees of a profile, whoever runs it. */
export interface PublicLook {
  name: string
  /** Its address in the network's own spelling. */
  url: string
  /** Followers at the end of days (YYYY-MM-DD), where the network tells them; oldest first. */
  followers: { day: string; followers: number }[]
  /** Instants of its own posts, epoch milliseconds. */
  posts: number[]
  /** Ratings it was given, 1 to 5. */
  ratings: { at: number; rating: number }[]
}

/** Requests to a network, with retry, rate budget and error classes around them. */
export interface NetworkHttp {
  json<T>(
    url: string,
    options?: { method?: string; body?: unknown; token?: string; headers?: Record<string, string> },
  ): Promise<T>
  text(
    url: string,
    options: { headers: Record<string, string>; maxBytes: number },
  ): Promise<{
    status: number
    body: string
    etag?: string
    modified?: string
    type: string
    maxAgeSeconds?: number
  }>
  /** Sends a body and looks at nothing but whether it was taken. */
  post(url: string, body: string, headers: Record<string, string>): Promise<void>
}

/** What is done beside the server's own thread. */
export interface CollectTools {
  parseFeed(document: string): Promise<ParsedFeed>
}

/** One contract for all channels. Nothing outside a connector's folder asks which channel it is. */
export interface Connector {
  channel: string
  capabilities: Capabilities
  /** Profiles that a fresh key opens. */
  profiles?(address: string, accessToken: string, http: NetworkHttp): Promise<OutsideProfile[]>
  /** Looks at a public profile by its address on the network at `network`. */
  look?(network: string, address: string, http: NetworkHttp): Promise<PublicLook>
  /** One page, from a cursor (null: from the beginning). */
  collect(
    profile: ConnectorProfile,
    cursor: string | null,
    http: NetworkHttp,
    tools: CollectTools,
  ): Promise<CollectedPage>
  send?(profile: ConnectorProfile, action: ReplyAction, http: NetworkHttp): Promise<Sent>
  /** Puts other words in the place of an answer of ours; done twice it is done once. */
  change?(profile: ConnectorProfile, own: { entryId: string; text: string }, http: NetworkHttp): Promise<void>
  /** Takes an answer of ours away; one that is gone already is taken away. */
  takeBack?(profile: ConnectorProfile, own: { entryId: string }, http: NetworkHttp): Promise<void>
  /** Tells the network that something should not stand there; once for each key. */
  report?(
    profile: ConnectorProfile,
    report: { entryId: string; reason: string; text: string; key: string },
    http: NetworkHttp,
  ): Promise<void>
  /** Reads the body of a webhook whose signature has been checked. */
  receive?(profile: ConnectorProfile, body: unknown): ReadParts
  /** One piece as it came, read again; null when it is no text of anybody. */
  readPart?(profile: ConnectorProfile, raw: unknown): CollectedItem | null
  subscribe?(profile: ConnectorProfile, subscription: HookSubscription, http: NetworkHttp): Promise<void>
  unsubscribe?(profile: ConnectorProfile, http: NetworkHttp): Promise<void>
}
