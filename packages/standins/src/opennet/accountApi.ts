import { privateTo } from '../shared/privateTo.ts'
import express, { type Request, type Router } from 'express'
import { problem } from '../shared/faults.ts'
import { coveredBy } from '../shared/subscriptions.ts'
import { accountActor, activityOf, eventActivity, type ActivityParts } from './activity.ts'
import type { DeletionRecord, EditRecord, OpenPost } from './state.ts'

const pageSize = 200
const mayUse = coveredBy('account')

/** What the owner of an account may read, with their key. */
export function readingApi(api: Router, partsOf: () => ActivityParts): void {
  api.get('/accounts', (_req, res) => {
    const { state, address } = partsOf()
    const granted = (res.locals.resources as string[]).flatMap((id) => state.accounts.get(id) ?? [])
    res.json({
      type: 'Collection',
      totalItems: granted.length,
      items: granted.map((account) => accountActor(account, address)),
    })
  })
  api.get('/accounts/:account/stream', mayUse, (req, res) => {
    const parts = partsOf()
    const stream = parts.state.streams.get(String(req.params.account)) ?? []
    const after = Math.max(0, Number(req.query.after ?? 0) || 0)
    const posts = stream.slice(after, after + pageSize)
    const end = after + posts.length
    res.json({
      '@context': 'https://www.w3.org/ns/activitystreams',
      type: 'OrderedCollectionPage',
      totalItems: stream.length,
      orderedItems: posts.map((event) => eventActivity(event, parts)),
      cursor: String(end),
      next:
        end < stream.length
          ? `${parts.address}/api/accounts/${String(req.params.account)}/stream?after=${end}`
          : undefined,
    })
  })
}

/** How posts stand now that concern an account. */
export function figuresApi(api: Router, partsOf: () => ActivityParts): void {
  api.get('/accounts/:account/posts', mayUse, (req, res) => {
    const parts = partsOf()
    const ids = String(req.query.ids ?? '')
      .split(',')
      .slice(0, pageSize)
    const items = ids.flatMap((id) => {
      const post = parts.state.byId.get(id)
      return post && !post.conversation && !parts.state.deleted.has(id)
        ? [activityOf(post, parts).object]
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

/** Changes and takes away what an account has said. */
export function changingApi(
  api: Router,
  partsOf: () => ActivityParts,
  change: (change: EditRecord | DeletionRecord) => void,
): void {
  const own = (req: Request): OpenPost | undefined => {
    const { state } = partsOf()
    const post = state.byId.get(String(req.params.post))
    return post && post.author.id === req.params.account && !state.deleted.has(post.id) ? post : undefined
  }
  api.put('/accounts/:account/posts/:post', mayUse, express.json(), (req, res) => {
    const { kind, state } = partsOf()
    const content = (req.body as { object?: { content?: string } }).object?.content ?? ''
    const post = own(req)
    if (!post) return problem(res, 410, 'What this changes is gone')
    if (!content.trim() || [...content].length > kind.longest)
      return problem(res, 422, `A post has 1 to ${kind.longest} characters`)
    if (content !== post.content) change({ op: 'edit', id: post.id, content, at: new Date().toISOString() })
    res.json(activityOf(state.byId.get(post.id)!, partsOf()))
  })
  api.delete('/accounts/:account/posts/:post', mayUse, (req, res) => {
    const post = own(req)
    if (!post) return problem(res, 410, 'This is gone already')
    change({ op: 'deletion', id: post.id, at: new Date().toISOString() })
    res.json({ type: 'Tombstone', id: `${partsOf().address}/posts/${post.id}` })
  })
}

/** Pictures, on networks that show them with an answer. */
function takeMedia(api: Router, partsOf: () => ActivityParts): void {
  partsOf().state.media.take(api, '/accounts/:account/media', {
    mayUse,
    add: (record) => partsOf().state.add(record),
    address: () => partsOf().address,
  })
}

type Publish = (post: Omit<OpenPost, 'op' | 'id'>) => OpenPost

/** Posts, answers and messages in the account's name. */
export function writingApi(api: Router, partsOf: () => ActivityParts, publish: Publish): void {
  takeMedia(api, partsOf)
  api.post('/accounts/:account/stream', mayUse, express.json(), (req, res) => {
    const parts = partsOf()
    const { kind, state } = parts
    const account = state.accounts.get(String(req.params.account))
    const object = (
      req.body as {
        object?: { content?: string; inReplyTo?: string; to?: string[]; attachment?: { url?: unknown }[] }
      }
    ).object
    const target = object?.inReplyTo ? state.byId.get(object.inReplyTo.split('/').pop() ?? '') : undefined
    if (!account || !object?.content?.trim()) return problem(res, 422, 'A post needs content')
    if ([...object.content].length > kind.longest)
      return problem(res, 422, `A post has at most ${kind.longest} characters`)
    if (object.inReplyTo && (!target || state.deleted.has(target.id)))
      return problem(res, 410, 'What this answers is gone')
    const to = target && privateTo(object, target.author.id)
    if (to === null || (to && !kind.messages))
      return problem(
        res,
        422,
        'A private note goes to the author of what it answers, where there are messages',
      )
    const media = state.media.idsOf(object)
    if (!media) return problem(res, 422, 'A post shows at most four pictures that were put here before')
    const { value, repeated } = state.published.once(req.get('Idempotency-Key'), () =>
      publish({
        author: { id: account.id, name: account.name, handle: account.handle },
        content: object.content!,
        published: new Date().toISOString(),
        inReplyTo: target?.conversation || to ? undefined : target?.id,
        conversation:
          target?.conversation ?? (to ? { id: `${account.id}-${to}`, account: account.id } : undefined),
        key: req.get('Idempotency-Key'),
        ...(media.length ? { media } : {}),
      }),
    )
    res.status(repeated ? 200 : 201).json(activityOf(value, parts))
  })
}
