import type { EntryKind } from '@murrabel/core/lens'
import type { CollectedItem, CollectedPage, Connector, ConnectorProfile, EntryFigures } from '../contract.ts'
import {
  activityText,
  figuresOf,
  goneOf,
  idOf,
  isForAll,
  lastPart,
  picturesOf,
  severalOf,
  type Showing,
} from './activity.ts'
import { hookSubscriptions } from './hookSubscriptions.ts'
import { pictureFiles } from './media.ts'
import { ownNotes } from './ownNotes.ts'
import { listOf, readParts } from './readParts.ts'

interface Actor {
  id: string
  name?: string
  preferredUsername?: string
  url?: string
}

interface Tag {
  type?: string
  href?: string
}

/** A Create activity of ActivityStreams 2.0 in the stream of an account. */
export interface AccountActivity {
  type: string
  published?: string
  object: Showing & {
    type: string
    id: string
    url?: string
    name?: string
    content?: string
    mediaType?: string
    published?: string
    /** When it was changed last. */
    updated?: string
    attributedTo: Actor
    inReplyTo?: string
    /** What it belongs to: a thread with the author of its head, or a private conversation. */
    context?: string | { id?: string; name?: string; attributedTo?: string }
    to?: unknown
    /** Whom it answers or names. */
    cc?: unknown
    tag?: Tag | Tag[] | null
    views?: number
    paid?: boolean
    key?: string
  }
}

interface StreamPage {
  orderedItems: AccountActivity[]
  totalItems: number
  cursor: string
  next?: string
}

const objectTypes = new Set(['Note', 'Image', 'Video', 'Page', 'Article'])

export const contextId = (context: string | { id?: string } | undefined): string | undefined =>
  typeof context === 'string' ? context : context?.id

/** Whether it names us, or answers something of ours. */
function isToUs({ cc, tag }: AccountActivity['object'], { outsideId }: ConnectorProfile): boolean {
  const named = severalOf(tag).flatMap((each) => (each?.type === 'Mention' && each.href ? [each.href] : []))
  return [...severalOf(cc).map(idOf), ...named].some((each) => lastPart(each) === outsideId)
}

/**
 * Where something belongs: a private conversation; under a post of ours, where each comment opens a thread; or a thread
 * that others began and we are named in, which stays one.
 */
function placeOf(
  { object }: AccountActivity,
  profile: ConnectorProfile,
): Pick<CollectedItem, 'threadId' | 'parentId' | 'threadTitle' | 'kind' | 'origin'> {
  const id = lastPart(object.id)
  const { context } = object
  const head = lastPart(contextId(context) ?? object.id)
  const headAuthor = typeof context === 'object' ? lastPart(context.attributedTo ?? '') : ''
  const own = lastPart(object.attributedTo.id) === profile.outsideId
  if (head === id && own) return { threadId: `post/${id}`, threadTitle: object.name, kind: 'comment' }
  if (headAuthor === profile.outsideId)
    return {
      threadId: `comment/${id}`,
      parentId: object.inReplyTo ? lastPart(object.inReplyTo) : head,
      kind: 'comment',
    }
  const threadTitle = typeof context === 'object' ? context.name : object.name
  return {
    threadId: `thread/${head}`,
    threadTitle,
    kind: 'mention',
    origin: isToUs(object, profile) ? 'sent' : 'heard',
  }
}

/** What stands in the stream of an account as an item; null for what is no text of anybody. */
export function accountItemOf(activity: AccountActivity, profile: ConnectorProfile): CollectedItem | null {
  const { object } = activity
  if (
    !['Create', 'Update'].includes(activity.type) ||
    !objectTypes.has(object?.type) ||
    typeof object.content !== 'string'
  )
    return null
  const { attributedTo: author } = object
  const open = isForAll(object.to)
  return {
    outsideId: lastPart(object.id),
    ...(open
      ? placeOf(activity, profile)
      : { threadId: `conversation/${lastPart(contextId(object.context) ?? object.id)}`, kind: 'message' }),
    direction: lastPart(author.id) === profile.outsideId ? 'out' : 'in',
    author: {
      outsideId: lastPart(author.id),
      name: author.name ?? author.preferredUsername ?? lastPart(author.id),
      handle: author.preferredUsername,
      url: author.id,
    },
    title: object.inReplyTo ? undefined : object.name,
    text: activityText(object),
    at: Date.parse(object.published ?? activity.published ?? ''),
    changedAt: Date.parse(object.updated ?? object.published ?? activity.published ?? ''),
    url: object.url,
    reach: object.views,
    ...figuresOf(object),
    pictures: picturesOf(object),
    private: !open,
    paid: object.paid === true,
    replyKey: object.key,
    raw: activity,
  }
}

const base = (profile: ConnectorProfile) =>
  `${profile.address}/api/accounts/${encodeURIComponent(profile.outsideId)}`

/** Figures of a list of objects. */
export const figuresOfAll = (items: unknown): EntryFigures[] =>
  listOf<Showing & { id: string; views?: number }>(items).map((object) => ({
    outsideId: lastPart(object.id),
    ...figuresOf(object),
    reach: object.views,
  }))

/** What all such channels do alike. */
const streamOf = {
  async profiles(address, token, http) {
    const answer = await http.json<{ items: Actor[] }>(`${address}/api/accounts`, { token })
    return listOf<Actor>(answer.items).map((actor) => ({
      outsideId: lastPart(actor.id),
      name: actor.name ?? lastPart(actor.id),
      url: actor.url ?? actor.id,
    }))
  },
  async collect(profile, cursor, http): Promise<CollectedPage> {
    const page = await http.json<StreamPage>(
      `${base(profile)}/stream?after=${encodeURIComponent(cursor ?? '0')}`,
      { token: profile.accessToken },
    )
    return {
      ...readParts(
        listOf<AccountActivity>(page.orderedItems),
        (activity) => accountItemOf(activity, profile),
        goneOf,
      ),
      cursor: page.cursor,
      more: page.next !== undefined,
      total: page.totalItems,
    }
  },
  async figures(profile, outsideIds, http) {
    const { items } = await http.json<{ items: (Showing & { id: string; views?: number })[] }>(
      `${base(profile)}/posts?ids=${outsideIds.map(encodeURIComponent).join(',')}`,
      { token: profile.accessToken },
    )
    return figuresOfAll(items)
  },
  ...ownNotes<AccountActivity>({
    stream: (profile) => `${base(profile)}/stream`,
    media: (profile) => `${base(profile)}/media`,
    own: (profile, entryId) => `${base(profile)}/posts/${encodeURIComponent(entryId)}`,
    note: (profile, entryId) => `${profile.address}/posts/${entryId}`,
    itemOf: accountItemOf,
  }),
  receive(profile, body) {
    const { data } = body as { data?: AccountActivity }
    return readParts(data ? [data] : [], (activity) => accountItemOf(activity, profile), goneOf)
  },
  readPart: (profile, raw) => accountItemOf(raw as AccountActivity, profile),
  ...hookSubscriptions((profile) => `${base(profile)}/subscriptions`),
} satisfies Partial<Connector>

/** A channel of accounts: their own posts and what stands under them, threads they are named in, private messages. */
export const accountConnector = ({
  channel,
  replyLength,
  repliesTo,
  pictures = false,
}: {
  channel: string
  replyLength: number
  repliesTo: readonly EntryKind[]
  /** Pictures can go with an answer. */
  pictures?: boolean
}): Connector => ({
  channel,
  capabilities: {
    reply: true,
    replyLength,
    replyIsPublic: (kind) => kind !== 'message',
    repliesTo,
    live: true,
    oauth: true,
    changes: true,
    // Where there are private messages at all.
    answersPrivately: repliesTo.includes('message'),
    ...(pictures ? { files: pictureFiles } : {}),
  },
  ...streamOf,
})
