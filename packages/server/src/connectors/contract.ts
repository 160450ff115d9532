import type { EntryKind } from '@murrabel/core/lens'
import type { ContactWish } from '@murrabel/core/texting'
import type { AutomaticMail } from './email/automaticMail.ts'
import type { ReadMail } from './email/readMail.ts'
import type { ParsedFeed } from './news/parsedFeed.ts'

/** What a channel can do; the interface offers no more than that. */
export interface Capabilities {
  /** Answers can be written. */
  reply: boolean
  /** Characters of an answer. */
  replyLength: number
  /** Texts of limited length that an answer may be sent as, where the channel counts them (`countText` in the core). */
  replyParts?: number
  /** An answer can be laid out: its text is markup (`@murrabel/core/markup`). */
  replyMarkup?: boolean
  /** What was said in public can be answered in private. */
  answersPrivately?: boolean
  /** An answer to this kind is public. */
  replyIsPublic(kind: EntryKind): boolean
  /** Kinds that can be answered. */
  repliesTo: readonly EntryKind[]
  /** Reviews can be reported to the network, which decides. */
  reports?: boolean
  /** An answer can be changed, and taken back, after it has gone out. */
  changes?: boolean
  /** Files can go with an answer: how many, and their bytes together; only pictures, where it says so. */
  files?: { most: number; bytes: number; pictures?: boolean }
  /** How often it is looked at, where that is not the usual. */
  lookEverySeconds?: number
  /** New entries are announced by webhook; otherwise they are fetched now and then. */
  live: boolean
  /** Only the newest is shown there: what passes by while nobody looks does not come in afterwards. */
  passesBy?: boolean
  /** Access is granted by OAuth; otherwise an address is enough. */
  oauth: boolean
  /** What is said there by anybody can be searched for. */
  search?: boolean
  /** What belongs together there is known by what it says, and people may say otherwise: threads can be merged and split. */
  regroups?: boolean
  /** Who writes there is known by such an address or number. */
  authorsBy?: 'email' | 'phone'
}

/** What a connector knows of the profile it works for. */
export interface ConnectorProfile {
  id: number
  outsideId: string
  /** As it is shown. */
  name?: string
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
  /** How often it was liked, and passed on, where the network tells it. */
  likes?: number
  shares?: number
  /** Pictures, or a video's still, by their addresses. */
  pictures?: { address: string; alt: string }[]
  private?: boolean
  paid?: boolean
  /** The key of our outbox, where the network gives it back. */
  replyKey?: string
  /** One of several texts that its author wrote as one: it is an entry when all of them are there. */
  piece?: {
    /** The same for all of them. */
    whole: string
    /** 1 to `of`. */
    number: number
    of: number
  }
  /** Its envelope and what is beside its words, where it is a mail. */
  mail?: MailParts
  /** What the connector needs of it to answer it; JSON. */
  answerTo?: unknown
  files?: CollectedFile[]
  /** Its author wants to hear nothing more from us here, or wants to again. */
  wish?: ContactWish
  /** Exactly as received. */
  raw: unknown
}

/** A file or picture that came with it. */
export interface CollectedFile {
  name: string
  type: string
  bytes: Uint8Array
  /** By which its HTML shows it. */
  cid: string | null
}

export interface MailParts {
  messageId: string | null
  /** Message-IDs it answers, the nearest first. */
  ancestors: string[]
  /** Its subject says that it answers something. */
  isAnswer: boolean
  from: { name: string; address: string }
  to: { name: string; address: string }[]
  cc: { name: string; address: string }[]
  /** What it quotes, and its signature. */
  folded: string
  html: string | null
  /** A machine wrote it. */
  automatic: AutomaticMail | null
  /** Whether it comes from whom it names: it bears our own address, or its receiver could not prove it. */
  doubt: 'own' | 'unproven' | null
  filesLeftOut: number
}

/** Figures of an entry that grow after it was said. */
export interface EntryFigures {
  outsideId: string
  likes?: number
  shares?: number
  reach?: number
}

/** What became of an answer of ours after the network had taken it. */
export interface DeliveryReport {
  outsideId: string
  state: 'delivered' | 'failed'
  /** Why it failed, in the network's words. */
  reason?: string
  /** Epoch milliseconds. */
  at: number
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
  reports?: DeliveryReport[]
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
  /** Markup where the channel's answers have it. */
  text: string
  /** The network does it once for each key. */
  key: string
  /** Only to the author of what it answers, although that is public: their id there. */
  privatelyTo?: string
  /** An earlier try may have reached the network. */
  maybeSent?: boolean
  /** What the connector gave with the entry, for its answer. */
  answerTo?: unknown
  files?: { name: string; type: string; bytes: Uint8Array }[]
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

export interface Upload {
  bytes: Uint8Array
  type: string
  token: string
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
  /**
   * The address behind a host's name, for protocols other than HTTP.
   *
   * @throws NetworkFailure refused for inner addresses, transient when it is not found
   */
  host(name: string, port: number): Promise<string>
  /** Puts a file there; answers what the network says of it. */
  upload<T>(url: string, file: Upload): Promise<T>
  /** The bytes of a document. @throws TooLargeError */
  bytes(url: string, options: { maxBytes: number }): Promise<Uint8Array>
  /** Sends a body and looks at nothing but whether it was taken. */
  post(url: string, body: string, headers: Record<string, string>): Promise<void>
}

/** What is done beside the server's own thread. */
export interface CollectTools {
  parseFeed(document: string): Promise<ParsedFeed>
  readMail(bytes: Uint8Array): Promise<ReadMail>
}

/** One contract for all channels. Nothing outside a connector's folder asks which channel it is. */
export interface Connector {
  channel: string
  capabilities: Capabilities
  /** Profiles that a fresh key opens. */
  profiles?(address: string, accessToken: string, http: NetworkHttp): Promise<OutsideProfile[]>
  /** Looks at a public profile by its address on the network at `network`. */
  look?(network: string, address: string, http: NetworkHttp): Promise<PublicLook>
  /** Tries a profile's settings, and changes nothing. @throws NetworkFailure */
  check?(profile: ConnectorProfile, http: NetworkHttp): Promise<void>
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
  /** How these stand now; what the network knows no more is left out. */
  figures?(
    profile: ConnectorProfile,
    outsideIds: readonly string[],
    http: NetworkHttp,
  ): Promise<EntryFigures[]>
  /** Reads the body of a webhook whose signature has been checked. */
  receive?(profile: ConnectorProfile, body: unknown): ReadParts
  /** Reads a mail that another server brought. */
  receiveMail?(profile: ConnectorProfile, bytes: Uint8Array, tools: CollectTools): Promise<ReadParts>
  /** One piece as it came, read again; null when it is no text of anybody. */
  readPart?(profile: ConnectorProfile, raw: unknown): CollectedItem | null
  subscribe?(profile: ConnectorProfile, subscription: HookSubscription, http: NetworkHttp): Promise<void>
  unsubscribe?(profile: ConnectorProfile, http: NetworkHttp): Promise<void>
}
