import type { CollectedItem, CollectedPage, Connector, ConnectorProfile } from '../contract.ts'
import { hookSubscriptions } from '../shared/hookSubscriptions.ts'
import { pictureFiles } from '../shared/media.ts'
import { ownNotes } from '../shared/ownNotes.ts'
import { figuresOfAll } from '../shared/accountStream.ts'
import { activityText, figuresOf, goneOf, isForAll, lastPart, picturesOf } from '../shared/activity.ts'
import { everyPage, linkWithin } from '../shared/publicPages.ts'
import { listOf, readParts } from '../shared/readParts.ts'
import type { Activity, ActivityPage, Actor, Followers, PublicActor, PublicPosts } from './activityStreams.ts'

/** A private conversation is a thread; so is each comment under a post, with what answers it. */
function threadOf({ object }: Activity): { threadId: string; parentId?: string } {
  if (object.context) return { threadId: `conversation/${lastPart(object.context)}` }
  if (object.inReplyTo)
    return { threadId: `comment/${lastPart(object.id)}`, parentId: lastPart(object.inReplyTo) }
  return { threadId: `post/${lastPart(object.id)}` }
}

/** An ActivityStreams 2.0 Create or Update of a Note as an item; null for what is no text of anybody. */
export function itemOf(activity: Activity, profile: ConnectorProfile): CollectedItem | null {
  const { object } = activity
  if (
    !['Create', 'Update'].includes(activity.type) ||
    object?.type !== 'Note' ||
    typeof object.content !== 'string'
  )
    return null
  const at = Date.parse(object.published ?? activity.published ?? '')
  const own = lastPart(object.attributedTo.id) === profile.outsideId
  return {
    outsideId: lastPart(object.id),
    ...threadOf(activity),
    kind: object.context ? 'message' : 'comment',
    direction: own ? 'out' : 'in',
    author: authorOf(object.attributedTo),
    text: activityText(object),
    at,
    changedAt: Date.parse(object.updated ?? object.published ?? activity.published ?? ''),
    url: object.url,
    reach: object.views,
    ...figuresOf(object),
    pictures: picturesOf(object),
    private: !isForAll(object.to),
    paid: object.paid === true,
    replyKey: object.key,
    raw: activity,
  }
}

function authorOf({ id, name, preferredUsername }: Actor): CollectedItem['author'] {
  return {
    outsideId: lastPart(id),
    name: name ?? preferredUsername ?? lastPart(id),
    handle: preferredUsername,
    url: id,
  }
}

const streamUrl = (profile: ConnectorProfile) =>
  `${profile.address}/api/pages/${encodeURIComponent(profile.outsideId)}/stream`
const hookUrl = (profile: ConnectorProfile) =>
  `${profile.address}/api/pages/${encodeURIComponent(profile.outsideId)}/subscriptions`

/** Pages: posts, comments and private messages, as ActivityStreams 2.0. */
export const pagesConnector: Connector = {
  channel: 'pages',
  capabilities: {
    reply: true,
    replyLength: 2000,
    replyIsPublic: (kind) => kind !== 'message',
    repliesTo: ['comment', 'message'],
    live: true,
    oauth: true,
    changes: true,
    answersPrivately: true,
    files: pictureFiles,
  },
  async profiles(address, token, http) {
    const answer = await http.json<{ items: Actor[] }>(`${address}/api/pages`, { token })
    return answer.items.map((actor) => ({
      outsideId: lastPart(actor.id),
      name: actor.name ?? lastPart(actor.id),
      url: actor.url ?? actor.id,
    }))
  },
  async look(network, address, http) {
    const accept = 'application/activity+json'
    const actor = await http.json<PublicActor>(address, { headers: { accept } })
    const first = linkWithin(network, actor.outbox, address)
    const pages = await everyPage<PublicPosts>(http, { network, first, accept })
    const crowd = actor.followers
      ? await http.json<Followers>(linkWithin(network, actor.followers, address), { headers: { accept } })
      : {}
    return {
      name: actor.name ?? address,
      url: linkWithin(network, actor.url ?? address, address),
      followers: (crowd.items ?? []).flatMap(({ day, totalItems }) =>
        day && /^\d{4}-\d\d-\d\d$/.test(day) && Number.isInteger(totalItems)
          ? [{ day, followers: totalItems! }]
          : [],
      ),
      posts: pages
        .flatMap((page) =>
          listOf<{ published?: string }>(page.orderedItems).map((post) => Date.parse(post?.published ?? '')),
        )
        .filter((at) => !Number.isNaN(at)),
      ratings: [],
    }
  },
  async collect(profile, cursor, http): Promise<CollectedPage> {
    const page = await http.json<ActivityPage>(
      `${streamUrl(profile)}?after=${encodeURIComponent(cursor ?? '0')}`,
      { token: profile.accessToken },
    )
    return {
      ...readParts(listOf<Activity>(page.orderedItems), (activity) => itemOf(activity, profile), goneOf),
      cursor: page.cursor,
      more: page.next !== undefined,
      total: page.totalItems,
    }
  },
  async figures(profile, outsideIds, http) {
    const { items } = await http.json<{ items: unknown }>(
      `${profile.address}/api/pages/${encodeURIComponent(profile.outsideId)}/notes?ids=${outsideIds.map(encodeURIComponent).join(',')}`,
      { token: profile.accessToken },
    )
    return figuresOfAll(items)
  },
  ...ownNotes<Activity>({
    stream: streamUrl,
    media: (profile) => `${profile.address}/api/pages/${encodeURIComponent(profile.outsideId)}/media`,
    own: (profile, entryId) =>
      `${profile.address}/api/pages/${encodeURIComponent(profile.outsideId)}/notes/${encodeURIComponent(entryId)}`,
    note: (profile, entryId) => `${profile.address}/notes/${entryId}`,
    itemOf,
  }),
  receive(profile, body) {
    const { data } = body as { data?: Activity }
    return readParts(data ? [data] : [], (activity) => itemOf(activity, profile), goneOf)
  },
  readPart: (profile, raw) => itemOf(raw as Activity, profile),
  ...hookSubscriptions(hookUrl),
}
