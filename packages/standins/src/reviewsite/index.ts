import type { StandinOptions } from '../shared/network.ts'
import { startOwnedNetwork, type OwnedNetwork, type OwnedParts } from '../shared/ownedNetwork.ts'
import { readingApi, reportingApi, writingApi } from './api.ts'
import { reviewSites, type ReviewSiteName } from './kinds.ts'
import { feedEventOf, feedItemOf } from './linkedData.ts'
import { publicPages } from './publicPages.ts'
import {
  ReviewSiteState,
  type ReviewDeletionRecord,
  type ReviewEditRecord,
  type ReviewSiteItem,
} from './state.ts'

export interface ReviewSite extends OwnedNetwork<ReviewSiteState> {
  /** Its author changes a review, or takes it away. */
  change(change: ReviewEditRecord | ReviewDeletionRecord): void
}

const publishing =
  ({ state, oauth, announce }: OwnedParts<ReviewSiteState>) =>
  <T extends ReviewSiteItem>(item: T): T => {
    state.add(item)
    announce(item.business, feedItemOf(item, oauth.address))
    return item
  }

/** A site of businesses with star reviews, owners' answers and, where it has them, questions. schema.org over OAuth 2.0. */
export async function startReviewSite(
  name: ReviewSiteName,
  options: StandinOptions = {},
): Promise<ReviewSite> {
  const kind = reviewSites[name]
  const state = new ReviewSiteState(options.journalFile ?? null)
  let parts: OwnedParts<ReviewSiteState>
  const change: ReviewSite['change'] = (record) => {
    const item = state.items.get(record.id)
    if (!item || state.deleted.has(record.id)) return
    state.add(record)
    parts.announce(item.business, feedEventOf(state.streams.get(item.business)!.at(-1)!, parts.oauth.address))
  }
  const running = await startOwnedNetwork(
    state,
    {
      name: kind.name,
      choices: () =>
        [...state.businesses.values()]
          .filter((b) => !b.others)
          .map(({ id, name: called }) => ({ id, name: called })),
      announcedAt: '/businesses/:business',
      pages(made) {
        parts = made
        return publicPages(kind, state, { publish: publishing(made), change })
      },
      api(api) {
        const given = { ...parts, kind, publish: publishing(parts) }
        readingApi(api, given)
        writingApi(api, given)
        reportingApi(api, given)
      },
    },
    options,
  )
  return { ...running, change }
}
