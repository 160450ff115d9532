import express, { type Router } from 'express'
import { problem } from '../shared/faults.ts'
import type { OAuthServer } from '../shared/oauth.ts'
import { coveredBy } from '../shared/subscriptions.ts'
import { activityOf, pageActor } from './activity.ts'
import type { LanternpageState, NoteRecord } from './state.ts'

const pageSize = 200
/** Characters of a comment or message. */
const noteLength = 2000
const mayUse = coveredBy('page')

interface ApiParts {
  state: LanternpageState
  oauth: OAuthServer
  publish: (note: NoteRecord) => NoteRecord
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
    const notes = stream.slice(after, after + pageSize)
    const end = after + notes.length
    res.json({
      '@context': 'https://www.w3.org/ns/activitystreams',
      type: 'OrderedCollectionPage',
      totalItems: stream.length,
      orderedItems: notes.map((n) => activityOf(n, oauth.address)),
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
  api.post('/pages/:page/stream', mayUse, express.json(), (req, res) => {
    const page = state.pages.get(String(req.params.page))
    const object = (req.body as { object?: { content?: string; inReplyTo?: string } }).object
    const target = object?.inReplyTo ? state.notes.get(object.inReplyTo.split('/').pop() ?? '') : undefined
    if (!page || !object?.content?.trim()) return problem(res, 422, 'A note needs content')
    if (object.content.length > noteLength)
      return problem(res, 422, `A note has at most ${noteLength} characters`)
    if (object.inReplyTo && !target) return problem(res, 410, 'What this answers is gone')
    const key = req.get('Idempotency-Key')
    const { value, repeated } = state.published.once(key, () =>
      publish({
        op: 'note',
        id: state.nextId(),
        page: page.id,
        author: { id: page.id, name: page.name, handle: page.id },
        content: object.content!,
        published: new Date().toISOString(),
        inReplyTo: target?.conversation ? undefined : target?.id,
        conversation: target?.conversation,
        key,
      }),
    )
    res.status(repeated ? 200 : 201).json(activityOf(value, oauth.address))
  })
}
