import express from 'express'
import { Deliveries } from '../shared/deliveries.ts'
import { SwitchBoard } from '../shared/faults.ts'
import { demoClient, listen, networkApp, type Running, type StandinOptions } from '../shared/network.ts'
import { subscriptionRoutes } from '../shared/subscriptions.ts'
import { OAuthServer } from '../shared/oauth.ts'
import { readingApi, writingApi } from './api.ts'
import { feedItemOf } from './linkedData.ts'
import { publicPages } from './publicPages.ts'
import { WheraboutState, type WheraboutItem } from './state.ts'

export interface Wherabout extends Running {
  state: WheraboutState
  board: SwitchBoard
}

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
  readingApi(api, { state, oauth, publish })
  writingApi(api, { state, oauth, publish })
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
