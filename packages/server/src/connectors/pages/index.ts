import type { CollectedItem, CollectedPage, Connector, ConnectorProfile, NetworkHttp } from '../contract.ts'
import { hookSubscriptions } from '../shared/hookSubscriptions.ts'
import { NetworkFailure } from '../shared/outcome.ts'
import { activityText, isForAll, lastPart } from '../shared/activity.ts'
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

/** An ActivityStreams 2.0 Create of a Note as an item; null for what is no text of anybody. */
export function itemOf(activity: Activity, profile: ConnectorProfile): CollectedItem | null {
  const { object } = activity
  if (activity.type !== 'Create' || object?.type !== 'Note' || typeof object.content !== 'string') return null
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
    url: object.url,
    reach: object.views,
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
      ...readParts(listOf<Activity>(page.orderedItems), (activity) => itemOf(activity, profile)),
      cursor: page.cursor,
      more: page.next !== undefined,
      total: page.totalItems,
    }
  },
  async send(profile, action, http: NetworkHttp) {
    const activity = await http.json<Activity>(streamUrl(profile), {
      method: 'POST',
      token: profile.accessToken,
      headers: { 'idempotency-key': action.key },
      body: {
        type: 'Create',
        object: {
          type: 'Note',
          content: action.text,
          mediaType: 'text/plain',
          inReplyTo: `${profile.address}/notes/${action.entryId}`,
        },
      },
    })
    const item = itemOf(activity, profile)
    if (!item) throw new NetworkFailure('transient', 'the answer could not be read')
    return { outsideId: item.outsideId, url: item.url, at: item.at }
  },
  receive(profile, body) {
    const { data } = body as { data?: Activity }
    return readParts(data ? [data] : [], (activity) => itemOf(activity, profile))
  },
  readPart: (profile, raw) => itemOf(raw as Activity, profile),
  ...hookSubscriptions(hookUrl),
}
