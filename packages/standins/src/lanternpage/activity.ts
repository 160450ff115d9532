import type { NoteRecord, PageRecord } from './state.ts'

const everyone = 'https://www.w3.org/ns/activitystreams#Public'

/** A note as an ActivityStreams 2.0 Create activity. */
export function activityOf(note: NoteRecord, address: string): Record<string, unknown> {
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
