import express, { type Router } from 'express'
import { Deliveries, type Subscription } from './deliveries.ts'
import type { OwnedRecord } from './ownedRecords.ts'
import { SwitchBoard } from './faults.ts'
import { demoClient, listen, networkApp, type Running, type StandinOptions } from './network.ts'
import { OAuthServer, type StoredToken } from './oauth.ts'
import { subscriptionRoutes } from './subscriptions.ts'

/** What a network remembers of keys and of where to announce. */
export interface OwnedState {
  readonly tokens: StoredToken[]
  readonly subscriptions: Subscription[]
  add(record: OwnedRecord): void
}

/** What the routes of a network are made with. */
export interface OwnedParts<State> {
  state: State
  oauth: OAuthServer
  board: SwitchBoard
  /** Announces something new to whoever listens to a resource. */
  announce(resource: string, data: unknown): void
}

export interface OwnedNetwork<State> extends Running {
  state: State
  board: SwitchBoard
  /** Takes a key as granted. */
  allow(token: StoredToken): void
}

/** A network as it tells itself: who can be granted, where announcements are asked for, its pages and its API. */
export interface OwnedKind<State> {
  name: string
  /** Accounts that a person may grant access to. */
  choices(): { id: string; name: string }[]
  /** Where announcements are asked for, such as `/pages/:page`. */
  announcedAt: `/${string}/:${string}`
  pages(parts: OwnedParts<State>): Router
  api(api: Router, parts: OwnedParts<State>): void
}

/** Starts a network whose accounts belong to somebody: OAuth 2.0 with PKCE, an API for its owners, public pages, webhooks. */
export async function startOwnedNetwork<State extends OwnedState>(
  state: State,
  { name, choices, announcedAt, pages, api: routesOf }: OwnedKind<State>,
  options: StandinOptions,
): Promise<OwnedNetwork<State>> {
  const { port = 0, clientId, clientSecret } = { ...demoClient, ...options }
  const board = new SwitchBoard()
  const deliveries = new Deliveries(board)
  for (const subscription of state.subscriptions) deliveries.subscribe(subscription)
  const oauth = new OAuthServer({
    network: name,
    clientId,
    clientSecret,
    choices,
    onGrant: (token) => state.add({ op: 'token', ...token }),
    granted: state.tokens,
  })
  const parts = {
    state,
    oauth,
    board,
    announce: (resource: string, data: unknown) => deliveries.send(resource, data),
  }

  const app = networkApp()
  app.use(board.router(({ expireKeys }) => expireKeys && oauth.expireAll({ refreshToo: true })))
  app.use(oauth.router())
  app.use(pages(parts))
  const api = express.Router()
  api.use(board.middleware, oauth.authorised)
  routesOf(api, parts)
  api.use(subscriptionRoutes(announcedAt, deliveries, (each) => state.add({ op: 'subscription', ...each })))
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
