import type { Media } from '../shared/media.ts'
import type { Reactions } from '../shared/reactions.ts'
import { pictureObject } from '../shared/scenery.ts'
import type { StreamEvent } from '../shared/streamEvent.ts'
import type { NoteRecord, PageRecord } from './state.ts'

const everyone = 'https://www.w3.org/ns/activitystreams#Public'

export interface ActivityParts {
  address: string
  reactions: Reactions
  media: Media
}

/** Two of three posts of a page show something. */
export const hasPicture = ({ id, author, page, inReplyTo, conversation }: NoteRecord): boolean =>
  author.id === page && !inReplyTo && conversation === undefined && !/[036]$/.test(id)

/** What happened to a note, as an activity of ActivityStreams 2.0; what was deleted leaves a Tombstone. */
export function eventActivity(
  { type, at, item }: StreamEvent<NoteRecord>,
  parts: ActivityParts,
): Record<string, unknown> {
  const { address } = parts
  const created = activityOf(item, parts)
  if (type === 'Create') return created
  const id = `${address}/notes/${item.id}`
  if (type === 'Delete')
    return { type, id: `${id}/deletion`, published: at, object: { type: 'Tombstone', id, deleted: at } }
  return {
    ...created,
    type,
    id: `${id}/edit`,
    published: at,
    object: { ...(created.object as object), updated: at },
  }
}

/** A note as an ActivityStreams 2.0 Create activity. */
export function activityOf(
  note: NoteRecord,
  { address, reactions, media }: ActivityParts,
): Record<string, unknown> {
  const link = (id: string) => `${address}/notes/${id}`
  const isPrivate = note.conversation !== undefined
  return {
    type: 'Create',
    id: `${link(note.id)}/activity`,
    published: note.published,
    actor: actorOf(note, address),
    object: {
      type: 'Note',
      id: link(note.id),
      url: isPrivate ? undefined : link(note.id),
      attributedTo: actorOf(note, address),
      content: note.content,
      mediaType: 'text/plain',
      published: note.published,
      inReplyTo: note.inReplyTo ? link(note.inReplyTo) : undefined,
      context: isPrivate ? `${address}/conversations/${note.conversation}` : undefined,
      to: isPrivate ? [`${address}/pages/${note.page}`] : [everyone],
      paid: note.paid,
      views: note.reach,
      ...(isPrivate ? {} : reactions.of(note.id, note.reach)),
      ...(hasPicture(note) ? { attachment: [pictureObject(note.id, address)] } : {}),
      ...(note.media?.length ? { attachment: media.objects(note.media, address) } : {}),
      key: note.key,
    },
  }
}

function actorOf({ author, page }: NoteRecord, address: string): Record<string, unknown> {
  const isPage = author.id === page
  return {
    type: isPage ? 'Organization' : 'Person',
    id: isPage ? `${address}/pages/${page}` : `${address}/people/${author.id}`,
    name: author.name,
    preferredUsername: author.handle,
  }
}

export function pageActor({ id, name }: PageRecord, address: string): Record<string, unknown> {
  return { type: 'Organization', id: `${address}/pages/${id}`, name, url: `${address}/pages/${id}` }
}
