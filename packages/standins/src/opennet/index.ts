import express from 'express'
import type { StandinOptions } from '../shared/network.ts'
import { startOwnedNetwork, type OwnedNetwork, type OwnedParts } from '../shared/ownedNetwork.ts'
import { readingApi, writingApi } from './accountApi.ts'
import { activityOf, type ActivityParts } from './activity.ts'
import { openNets, type OpenNetKind, type OpenNetName } from './kinds.ts'
import { publicPages } from './publicPages.ts'
import { searchApi } from './searchApi.ts'
import { OpenNetState, type OpenPost } from './state.ts'

export interface OpenNet extends OwnedNetwork<OpenNetState> {
  publish(post: Omit<OpenPost, 'op' | 'id'>): OpenPost
}

/**
 * A network anybody may read: posts and answers and a public search; and accounts with what concerns them, for those who
 * own them. ActivityStreams 2.0 over OAuth 2.0.
 */
export async function startOpenNet(name: OpenNetName, options: StandinOptions = {}): Promise<OpenNet> {
  const kind: OpenNetKind = openNets[name]
  const state = new OpenNetState(options.journalFile ?? null)
  let network: OwnedParts<OpenNetState>
  const partsOf = (): ActivityParts => ({ kind, state, address: network.oauth.address })
  const publish: OpenNet['publish'] = (given) => {
    const post: OpenPost = { op: 'post', id: state.nextId(), ...given }
    state.add(post)
    for (const account of state.concernedBy(post)) network.announce(account, activityOf(post, partsOf()))
    return post
  }
  const running = await startOwnedNetwork(
    state,
    {
      name: kind.name,
      choices: () =>
        [...state.accounts.values()]
          .filter((each) => !each.others)
          .map(({ id, name: called }) => ({ id, name: called })),
      announcedAt: '/accounts/:account',
      pages(parts) {
        network = parts
        const router = express.Router()
        searchApi(router, parts.board, partsOf)
        publicPages(router, { kind, state, publish })
        return router
      },
      api(api) {
        readingApi(api, partsOf)
        writingApi(api, partsOf, publish)
      },
    },
    options,
  )
  return { ...running, publish }
}
