import express from 'express'
import { Deliveries } from '../shared/deliveries.ts'
import { problem, SwitchBoard } from '../shared/faults.ts'
import { demoClient, listen, networkApp, type Running, type StandinOptions } from '../shared/network.ts'
import { coveredBy, subscriptionRoutes } from '../shared/subscriptions.ts'
import { OAuthServer } from '../shared/oauth.ts'
import { businessOf, feedItemOf } from './linkedData.ts'
import { publicPages } from './publicPages.ts'
import { WheraboutState, type WheraboutItem } from './state.ts'

export interface Wherabout extends Running {
  state: WheraboutState
  board: SwitchBoard
}

const pageSize = 200
const answerLength = 4000

/** Wherabout, a map with star reviews, owners' answers, questions and listings. schema.org over OAuth 2.0. */
export async function startWherabout(options: StandinOptions = {}): Promise<Wherabout> {
  const { port = 0, journalFile = null, clientId, clientSecret } = { ...demoClient, ...options }
  const state = new WheraboutState(journalFile)
  const board = new SwitchBoard()
  const deliveries = new Deliveries(board)
  for (const subscription of state.subscriptions) deliveries.subscribe(subscription)
  const oauth = new OAuthServer({
    network: 'Wherabout',
    clientId,
    clientSecret,
    choices: () =>
      [...state.businesses.values()].filter((b) => !b.others).map(({ id, name }) => ({ id, name })),
    onGrant: (token) => state.add({ op: 'token', ...token }),
    granted: state.tokens,
  })
  const publish = <T extends WheraboutItem>(item: T): T => {
    state.add(item)
    deliveries.send(item.business, feedItemOf(item, oauth.address))
    return item
  }

  const app = networkApp()
  app.use(board.router(({ expireKeys }) => expireKeys && oauth.expireAll({ refreshToo: true })))
  app.use(oauth.router())
  app.use(publicPages(state, publish))

  const api = express.Router()
  api.use(board.middleware, oauth.authorised)
  api.get('/businesses', (_req, res) => {
    const granted = (res.locals.resources as string[]).flatMap((id) => state.businesses.get(id) ?? [])
    res.json({
      '@context': 'https://schema.org',
      '@type': 'ItemList',
      itemListElement: granted.map((b) => businessOf(b, oauth.address)),
    })
  })
  const mayUse = coveredBy('business')
  api.get('/businesses/:business/feed', mayUse, (req, res) => {
    const stream = state.streams.get(String(req.params.business)) ?? []
    const after = Math.max(0, Number(req.query.after ?? 0) || 0)
    const items = stream.slice(after, after + pageSize)
    const end = after + items.length
    res.json({
      '@context': 'https://schema.org',
      '@type': 'DataFeed',
      numberOfItems: stream.length,
      dataFeedElement: items.map((i) => feedItemOf(i, oauth.address)),
      cursor: String(end),
      more: end < stream.length,
    })
  })
  api.put('/businesses/:business/items/:item/answer', mayUse, express.json(), (req, res) => {
    const business = state.businesses.get(String(req.params.business))
    const parent = state.items.get(String(req.params.item))
    const { text = '' } = req.body as { text?: string }
    if (!business || !parent || parent.op === 'answer' || parent.business !== business.id)
      return problem(res, 410, 'What this answers is gone')
    if (!text.trim()) return problem(res, 422, 'An answer needs text')
    if (text.length > answerLength)
      return problem(res, 422, `An answer has at most ${answerLength} characters`)
    const key = req.get('Idempotency-Key')
    const { value, repeated } = state.answered.once(key, () =>
      publish({
        op: 'answer',
        id: state.nextId(),
        business: business.id,
        parent: parent.id,
        author: { id: business.id, name: business.name },
        owner: true,
        text,
        created: new Date().toISOString(),
        key,
      }),
    )
    res.status(repeated ? 200 : 201).json(feedItemOf(value, oauth.address))
  })
  api.use(
    subscriptionRoutes('/businesses/:business', deliveries, (each) =>
      state.add({ op: 'subscription', ...each }),
    ),
  )
  app.use('/api', api)

  const running = await listen(app, port, (address) => (oauth.address = address))
  return {
    ...running,
    state,
    board,
    close: async () => {
      deliveries.close()
      await running.close()
    },
  }
}
