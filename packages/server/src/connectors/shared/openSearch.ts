import type { CollectedItem, CollectedPage, Connector, ConnectorProfile, NetworkHttp } from '../contract.ts'
import { contextId } from './accountStream.ts'
import { activityText, figuresOf, lastPart, picturesOf, type Showing } from './activity.ts'
import { listOf, readParts } from './readParts.ts'

/** An ActivityStreams 2.0 Create of a public post, as the search interfaces of open networks give it. */
export interface PublicActivity {
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
    attributedTo: { id: string; name?: string; preferredUsername?: string }
    /** The post at the head of its thread. */
    context?: string | { id?: string; name?: string }
    views?: number
  }
}

interface SearchPage {
  orderedItems: PublicActivity[]
  cursor: string
  next?: string
}

const objectTypes = new Set(['Note', 'Image', 'Video', 'Page', 'Article'])

/** A public post as a mention; null for what is no text of anybody. */
export function mentionOf(activity: PublicActivity): CollectedItem | null {
  const { object } = activity
  if (activity.type !== 'Create' || !objectTypes.has(object?.type) || typeof object.content !== 'string')
    return null
  const at = Date.parse(object.published ?? activity.published ?? '')
  const author = object.attributedTo
  return {
    outsideId: lastPart(object.id),
    threadId: `thread/${lastPart(contextId(object.context) ?? object.id)}`,
    threadTitle: object.name,
    kind: 'mention',
    direction: 'in',
    author: {
      outsideId: lastPart(author.id),
      name: author.name ?? author.preferredUsername ?? lastPart(author.id),
      handle: author.preferredUsername,
      url: author.id,
    },
    title: object.name,
    text: activityText(object),
    at,
    url: object.url ?? object.id,
    reach: object.views,
    ...figuresOf(object),
    pictures: picturesOf(object),
    raw: activity,
  }
}

/** Where the searches stand: how far each term was read, and which are still to be read in this round. */
export interface SearchCursor {
  read: Record<string, string>
  todo: string[]
}

/** The cursor of a new round, or of the one that is going on with terms that were added or dropped meanwhile. */
export function nextRound(cursor: string | null, terms: readonly string[]): SearchCursor {
  const known = cursor ? (JSON.parse(cursor) as SearchCursor) : { read: {}, todo: [] }
  const asked = new Set(terms)
  const read = Object.fromEntries(Object.entries(known.read).filter(([term]) => asked.has(term)))
  const going = known.todo.filter((term) => asked.has(term))
  if (!going.length) return { read, todo: [...terms] }
  const fresh = terms.filter((term) => !Object.hasOwn(read, term) && !going.includes(term))
  return { read, todo: [...going, ...fresh] }
}

/** A channel that is searched, term by term, page by page: it needs no key and takes no answers here. */
export function searchConnector(channel: string): Connector {
  return {
    channel,
    capabilities: {
      reply: false,
      replyLength: 0,
      replyIsPublic: () => true,
      repliesTo: [],
      live: false,
      oauth: false,
      search: true,
    },
    readPart: (_profile, raw) => mentionOf(raw as PublicActivity),
    async collect(
      profile: ConnectorProfile,
      cursor: string | null,
      http: NetworkHttp,
    ): Promise<CollectedPage> {
      const { read, todo } = nextRound(cursor, profile.terms ?? [])
      const [term, ...rest] = todo
      if (term === undefined)
        return { items: [], unread: [], cursor: JSON.stringify({ read, todo: [] }), more: false }
      const address = new URL(`${profile.address}/api/search`)
      address.searchParams.set('q', term)
      address.searchParams.set('after', read[term] ?? '0')
      const page = await http.json<SearchPage>(address.href)
      const left = page.next === undefined ? rest : todo
      return {
        ...readParts(listOf<PublicActivity>(page.orderedItems), mentionOf),
        cursor: JSON.stringify({ read: { ...read, [term]: page.cursor }, todo: left } satisfies SearchCursor),
        more: left.length > 0,
      }
    },
  }
}
