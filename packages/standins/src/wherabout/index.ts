import type { StandinOptions } from '../shared/network.ts'
import { startOwnedNetwork, type OwnedNetwork, type OwnedParts } from '../shared/ownedNetwork.ts'
import { readingApi, writingApi } from './api.ts'
import { feedItemOf } from './linkedData.ts'
import { publicPages } from './publicPages.ts'
import { WheraboutState, type WheraboutItem } from './state.ts'

export type Wherabout = OwnedNetwork<WheraboutState>

const publishing =
  ({ state, oauth, announce }: OwnedParts<WheraboutState>) =>
  <T extends WheraboutItem>(item: T): T => {
    state.add(item)
    announce(item.business, feedItemOf(item, oauth.address))
    return item
  }

/** Wherabout, a map with star reviews, owners' answers, questions and listings. schema.org over OAuth 2.0. */
export function startWherabout(options: StandinOptions = {}): Promise<Wherabout> {
  const state = new WheraboutState(options.journalFile ?? null)
  return startOwnedNetwork(
    state,
    {
      name: 'Wherabout',
      choices: () =>
        [...state.businesses.values()].filter((b) => !b.others).map(({ id, name }) => ({ id, name })),
      announcedAt: '/businesses/:business',
      pages: (parts) => publicPages(state, publishing(parts)),
      api(api, parts) {
        const given = { ...parts, publish: publishing(parts) }
        readingApi(api, given)
        writingApi(api, given)
      },
    },
    options,
  )
}
