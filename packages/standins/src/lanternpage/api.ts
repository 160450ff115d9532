import { privateTo } from '../shared/privateTo.ts'
import express, { type Request, type Router } from 'express'
import { problem } from '../shared/faults.ts'
import type { OAuthServer } from '../shared/oauth.ts'
import { coveredBy } from '../shared/subscriptions.ts'
import { activityOf, eventActivity, pageActor } from './activity.ts'
import type { LanternpageState, NoteChange, NoteRecord } from './state.ts'

const pageSize = 200
/** Characters of a comment or message. */
const noteLength = 2000
const mayUse = coveredBy('page')

interface ApiParts {
  state: LanternpageState
  oauth: OAuthServer
  publish: (note: NoteRecord) => NoteRecord
  change: (change: NoteChange) => void
}

const partsOf = ({ state, oauth }: Pick<ApiParts, 'state' | 'oauth'>) => ({
  address: oauth.address,
  reactions: state.reactions,
  media: state.media,
})

/** How posts and comments of a page stand now. */
export function figuresApi(api: Router, { state, oauth }: ApiParts): void {
  api.get('/pages/:page/notes', mayUse, (req, res) => {
    const ids = String(req.query.ids ?? '')
      .split(',')
      .slice(0, pageSize)
    const items = ids.flatMap((id) => {
      const note = state.standing(id)
      return note && !note.conversation && note.page === req.params.page
        ? [activityOf(note, partsOf({ state, oauth })).object]
        : []
    })
    res.json({
      '@context': 'https://www.w3.org/ns/activitystreams',
      type: 'Collection',
      totalItems: items.length,
      items,
    })
  })
}

/** What a page's owner may read, with their key. */
export function readingApi(api: Router, { state, oauth }: ApiParts): void {
  api.get('/pages', (_req, res) => {
    const granted = (res.locals.resources as string[]).flatMap((id) => state.pages.get(id) ?? [])
    res.json({
      type: 'Collection',
      totalItems: granted.length,
      items: granted.map((p) => pageActor(p, oauth.address)),
    })
  })
  api.get('/pages/:page/stream', mayUse, (req, res) => {
    const stream = state.streams.get(String(req.params.page)) ?? []
    const after = Math.max(0, Number(req.query.after ?? 0) || 0)
    const events = stream.slice(after, after + pageSize)
    const end = after + events.length
    res.json({
      '@context': 'https://www.w3.org/ns/activitystreams',
      type: 'OrderedCollectionPage',
      totalItems: stream.length,
      orderedItems: events.map((event) => eventActivity(event, partsOf({ state, oauth }))),
      cursor: String(end),
      next:
        end < stream.length
          ? `${oauth.address}/api/pages/${String(req.params.page)}/stream?after=${end}`
          : undefined,
    })
  })
}

/** Posts, comments and messages in the page's name. */
export function writingApi(api: Router, { state, oauth, publish }: ApiParts): void {
  state.media.take(api, '/pages/:page/media', {
    mayUse,
    add: (record) => state.add(record),
    address: () => oauth.address,
  })
  api.post('/pages/:page/stream', mayUse, express.json(), (req, res) => {
    const page = state.pages.get(String(req.params.page))
    const object = (
      req.body as {
        object?: { content?: string; inReplyTo?: string; to?: string[]; attachment?: { url?: unknown }[] }
      }
    ).object
    const target = object?.inReplyTo ? state.standing(object.inReplyTo.split('/').pop() ?? '') : undefined
    if (!page || !object?.content?.trim()) return problem(res, 422, 'A note needs content')
    if (object.content.length > noteLength)
      return problem(res, 422, `A note has at most ${noteLength} characters`)
    if (object.inReplyTo && !target) return problem(res, 410, 'What this answers is gone')
    const to = target && privateTo(object, target.author.id)
    if (to === null) return problem(res, 422, 'A private note goes to the author of what it answers')
    const media = state.media.idsOf(object)
    if (!media) return problem(res, 422, 'A note shows at most four pictures that were put here before')
    const key = req.get('Idempotency-Key')
    const { value, repeated } = state.published.once(key, () =>
      publish({
        op: 'note',
        id: state.nextId(),
        page: page.id,
        author: { id: page.id, name: page.name, handle: page.id },
        content: object.content!,
        published: new Date().toISOString(),
        inReplyTo: target?.conversation || to ? undefined : target?.id,
        conversation: target?.conversation ?? (to ? `${page.id}-${to}` : undefined),
        key,
        ...(media.length ? { media } : {}),
      }),
    )
    res.status(repeated ? 200 : 201).json(activityOf(value, partsOf({ state, oauth })))
  })
}

/** Changes and takes away what a page has said. */
export function changingApi(api: Router, { state, oauth, change }: ApiParts): void {
  const own = (req: Request): NoteRecord | undefined => {
    const note = state.standing(String(req.params.note))
    return note?.author.id === req.params.page ? note : undefined
  }
  api.put('/pages/:page/notes/:note', mayUse, express.json(), (req, res) => {
    const content = (req.body as { object?: { content?: string } }).object?.content ?? ''
    const note = own(req)
    if (!note) return problem(res, 410, 'What this changes is gone')
    if (!content.trim() || content.length > noteLength)
      return problem(res, 422, `A note has 1 to ${noteLength} characters`)
    if (content !== note.content) change({ op: 'edit', id: note.id, content, at: new Date().toISOString() })
    res.json(activityOf(state.notes.get(note.id)!, partsOf({ state, oauth })))
  })
  api.delete('/pages/:page/notes/:note', mayUse, (req, res) => {
    const note = own(req)
    if (!note) return problem(res, 410, 'This is gone already')
    change({ op: 'deletion', id: note.id, at: new Date().toISOString() })
    res.json({ type: 'Tombstone', id: `${oauth.address}/notes/${note.id}` })
  })
}
