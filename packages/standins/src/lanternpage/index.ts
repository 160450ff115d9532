import express from 'express'
import { Deliveries } from '../shared/deliveries.ts'
import { SwitchBoard } from '../shared/faults.ts'
import { demoClient, listen, networkApp, type Running, type StandinOptions } from '../shared/network.ts'
import { subscriptionRoutes } from '../shared/subscriptions.ts'
import { OAuthServer, type StoredToken } from '../shared/oauth.ts'
import { activityOf } from './activity.ts'
import { readingApi, writingApi } from './api.ts'
import { publicPages } from './publicPages.ts'
import { LanternpageState, type NoteRecord } from './state.ts'

export interface Lanternpage extends Running {
  state: LanternpageState
  board: SwitchBoard
  /** Takes a key as granted. */
  allow(token: StoredToken): void
}

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
  readingApi(api, { state, oauth, publish })
  writingApi(api, { state, oauth, publish })
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
