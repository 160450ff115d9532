import { pictureObject } from '../shared/scenery.ts'
import type { StreamEvent } from '../shared/streamEvent.ts'
import type { OpenNetKind } from './kinds.ts'
import type { AccountRecord, OpenAuthor, OpenNetState, OpenPost } from './state.ts'

const everyone = 'https://www.w3.org/ns/activitystreams#Public'

export interface ActivityParts {
  kind: OpenNetKind
  state: OpenNetState
  address: string
}

/** What happened to a post, as an activity of ActivityStreams 2.0; what was deleted leaves a Tombstone. */
export function eventActivity({ type, at, item }: StreamEvent<OpenPost>, parts: ActivityParts) {
  if (type === 'Create') return activityOf(item, parts)
  const id = `${parts.address}/posts/${item.id}`
  if (type === 'Delete')
    return { type, id: `${id}/deletion`, published: at, object: { type: 'Tombstone', id, deleted: at } }
  const { object } = activityOf(item, parts) as { object: object }
  return { type, id: `${id}/edit`, published: at, object: { ...object, updated: at } }
}

/** A post as a Create activity of ActivityStreams 2.0. */
export function activityOf(post: OpenPost, parts: ActivityParts): Record<string, unknown> {
  const { kind, state, address } = parts
  const link = ({ id }: OpenPost) => `${address}/posts/${id}`
  const root = state.rootOf(post)
  const { conversation } = post
  const answered = post.inReplyTo ? state.byId.get(post.inReplyTo) : undefined
  return {
    type: 'Create',
    id: `${link(post)}/activity`,
    published: post.published,
    object: {
      type: post.inReplyTo || conversation ? 'Note' : kind.type,
      id: link(post),
      url: conversation ? undefined : link(post),
      name: post.title,
      content: post.content,
      mediaType: 'text/plain',
      published: post.published,
      attributedTo: actorOf(post.author, parts),
      inReplyTo: post.inReplyTo ? `${address}/posts/${post.inReplyTo}` : undefined,
      context: conversation
        ? { type: 'OrderedCollection', id: `${address}/conversations/${conversation.id}` }
        : {
            type: 'OrderedCollection',
            id: link(root),
            name: root.title,
            attributedTo: linkOf(root.author, parts),
          },
      to: conversation ? [`${address}/accounts/${conversation.account}`] : [everyone],
      cc: answered && state.accounts.has(answered.author.id) ? [linkOf(answered.author, parts)] : [],
      tag: [...state.accounts.values()]
        .filter((account) => state.names(post, account))
        .map((account) => ({ type: 'Mention', href: linkOf(account, parts), name: `@${account.handle}` })),
      views: post.views,
      ...(conversation ? {} : state.reactions.of(post.id, post.views)),
      ...(hasPicture(post, kind) ? showing(post, parts) : {}),
      ...(post.media?.length ? { attachment: state.media.objects(post.media, address) } : {}),
      paid: post.paid,
      key: post.key,
    },
  }
}

/** Pictures and videos show something; what is said under them does not. */
export const hasPicture = (post: OpenPost, { type }: OpenNetKind): boolean =>
  (type === 'Image' || type === 'Video') && !post.inReplyTo && !post.conversation

/** A picture itself, or the still of a video. */
const showing = ({ id }: OpenPost, { kind, address }: ActivityParts) =>
  kind.type === 'Video' ? { icon: pictureObject(id, address) } : { attachment: [pictureObject(id, address)] }

const linkOf = ({ id }: OpenAuthor, { state, address }: ActivityParts): string =>
  state.accounts.has(id) ? `${address}/accounts/${id}` : `${address}/people/${id}`

const actorOf = (author: OpenAuthor, parts: ActivityParts) => ({
  type: parts.state.accounts.has(author.id) ? 'Organization' : 'Person',
  id: linkOf(author, parts),
  name: author.name,
  preferredUsername: author.handle,
})

export const accountActor = ({ id, name, handle }: AccountRecord, address: string) => ({
  type: 'Organization',
  id: `${address}/accounts/${id}`,
  url: `${address}/accounts/${id}`,
  name,
  preferredUsername: handle,
})
