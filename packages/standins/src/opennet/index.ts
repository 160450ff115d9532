import express from 'express'
import type { StandinOptions } from '../shared/network.ts'
import type { StreamEvent } from '../shared/streamEvent.ts'
import { startOwnedNetwork, type OwnedNetwork, type OwnedParts } from '../shared/ownedNetwork.ts'
import { changingApi, figuresApi, readingApi, writingApi } from './accountApi.ts'
import { servePictures } from '../shared/scenery.ts'
import { eventActivity, hasPicture, type ActivityParts } from './activity.ts'
import { openNets, type OpenNetKind, type OpenNetName } from './kinds.ts'
import { publicPages } from './publicPages.ts'
import { searchApi } from './searchApi.ts'
import { OpenNetState, type DeletionRecord, type EditRecord, type OpenPost } from './state.ts'

export interface OpenNet extends OwnedNetwork<OpenNetState> {
  publish(post: Omit<OpenPost, 'op' | 'id'>): OpenPost
  /** Its author changes a post, or takes it away. */
  change(change: EditRecord | DeletionRecord): void
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
  const tell = (event: StreamEvent<OpenPost>): void => {
    for (const account of state.concernedBy(event.item))
      network.announce(account, eventActivity(event, partsOf()))
  }
  const publish: OpenNet['publish'] = (given) => {
    const post: OpenPost = { op: 'post', id: state.nextId(), ...given }
    state.add(post)
    tell({ type: 'Create', at: post.published, item: post })
    return post
  }
  const change: OpenNet['change'] = (record) => {
    const post = state.byId.get(record.id)
    if (!post || state.deleted.has(record.id)) return
    state.add(record)
    const type = record.op === 'edit' ? 'Update' : 'Delete'
    tell({ type, at: record.at, item: state.byId.get(record.id)! })
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
        publicPages(router, { kind, state, publish, change })
        state.media.serve(router)
        servePictures(router, (id) => {
          const post = state.byId.get(id)
          return post !== undefined && !state.deleted.has(id) && hasPicture(post, kind)
        })
        return router
      },
      api(api) {
        readingApi(api, partsOf)
        figuresApi(api, partsOf)
        writingApi(api, partsOf, publish)
        changingApi(api, partsOf, change)
      },
    },
    options,
  )
  return { ...running, publish, change }
}
