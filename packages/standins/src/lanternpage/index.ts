import express from 'express'
import { Deliveries } from '../shared/deliveries.ts'
import { problem, SwitchBoard } from '../shared/faults.ts'
import { demoClient, listen, networkApp, type Running, type StandinOptions } from '../shared/network.ts'
import { coveredBy, subscriptionRoutes } from '../shared/subscriptions.ts'
import { OAuthServer, type StoredToken } from '../shared/oauth.ts'
import { activityOf, pageActor } from './activity.ts'
import { publicPages } from './publicPages.ts'
import { LanternpageState, type NoteRecord } from './state.ts'

export interface Lanternpage extends Running {
  state: LanternpageState
  board: SwitchBoard
  /** Takes a key as granted. */
  allow(token: StoredToken): void
}

const pageSize = 200
/** Characters of a comment or message. */
const noteLength = 2000

/** Lanternpage, a network of pages: posts, comments, private messages. ActivityStreams 2.0 over OAuth 2.0. */
export async function startLanternpage(options: StandinOptions = {}): Promise<Lanternpage> {
  const { port = 0, journalFile = null, clientId, clientSecret } = { ...demoClient, ...options }
  const state = new LanternpageState(journalFile)
  const board = new SwitchBoard()
  const deliveries = new Deliveries(board)
  for (const subscription of state.subscriptions) deliveries.subscribe(subscription)
  const oauth = new OAuthServer({
    network: 'Lanternpage',
    clientId,
    clientSecret,
    choices: () => [...state.pages.values()].filter((p) => !p.others).map(({ id, name }) => ({ id, name })),
    onGrant: (token) => state.add({ op: 'token', ...token }),
    granted: state.tokens,
  })

  const publish = (note: NoteRecord) => {
    state.add(note)
    deliveries.send(note.page, activityOf(note, oauth.address))
    return note
  }

  const app = networkApp()
  app.use(board.router(({ expireKeys }) => expireKeys && oauth.expireAll({ refreshToo: true })))
  app.use(oauth.router())
  app.use(publicPages(state, publish))

  const api = express.Router()
  api.use(board.middleware, oauth.authorised)
  api.get('/pages', (_req, res) => {
    const granted = (res.locals.resources as string[]).flatMap((id) => state.pages.get(id) ?? [])
    res.json({
      type: 'Collection',
      totalItems: granted.length,
      items: granted.map((p) => pageActor(p, oauth.address)),
    })
  })
  const mayUse = coveredBy('page')
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
  api.use(
    subscriptionRoutes('/pages/:page', deliveries, (each) => state.add({ op: 'subscription', ...each })),
  )
  app.use('/api', api)

  const running = await listen(app, port, (address) => (oauth.address = address))
  return {
    ...running,
    state,
    board,
    allow: (token) => oauth.allow(token),
    close: async () => {
      deliveries.close()
      await running.close()
    },
  }
}
