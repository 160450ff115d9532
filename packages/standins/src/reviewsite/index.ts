import type { StandinOptions } from '../shared/network.ts'
import { startOwnedNetwork, type OwnedNetwork, type OwnedParts } from '../shared/ownedNetwork.ts'
import { readingApi, writingApi } from './api.ts'
import { reviewSites, type ReviewSiteName } from './kinds.ts'
import { feedItemOf } from './linkedData.ts'
import { publicPages } from './publicPages.ts'
import { ReviewSiteState, type ReviewSiteItem } from './state.ts'

export type ReviewSite = OwnedNetwork<ReviewSiteState>

const publishing =
  ({ state, oauth, announce }: OwnedParts<ReviewSiteState>) =>
  <T extends ReviewSiteItem>(item: T): T => {
    state.add(item)
    announce(item.business, feedItemOf(item, oauth.address))
    return item
  }

/** A site of businesses with star reviews, owners' answers and, where it has them, questions. schema.org over OAuth 2.0. */
export function startReviewSite(name: ReviewSiteName, options: StandinOptions = {}): Promise<ReviewSite> {
  const kind = reviewSites[name]
  const state = new ReviewSiteState(options.journalFile ?? null)
  return startOwnedNetwork(
    state,
    {
      name: kind.name,
      choices: () =>
        [...state.businesses.values()]
          .filter((b) => !b.others)
          .map(({ id, name: called }) => ({ id, name: called })),
      announcedAt: '/businesses/:business',
      pages: (parts) => publicPages(kind, state, publishing(parts)),
      api(api, parts) {
        const given = { ...parts, kind, publish: publishing(parts) }
        readingApi(api, given)
        writingApi(api, given)
      },
    },
    options,
  )
}
