import type { Connector } from './contract.ts'
import { forumConnector } from './forum/index.ts'
import { mapsConnector } from './maps/index.ts'
import { newsConnector } from './news/index.ts'
import { pagesConnector } from './pages/index.ts'
import { photosConnector } from './photos/index.ts'
import { postsConnector } from './posts/index.ts'
import { videoConnector } from './video/index.ts'

const connectors = new Map<string, Connector>(
  [
    pagesConnector,
    mapsConnector,
    newsConnector,
    postsConnector,
    photosConnector,
    videoConnector,
    forumConnector,
  ].map((c) => [c.channel, c]),
)

/** The connector of a channel; undefined for what came from files. */
export const connectorOf = (channel: string): Connector | undefined => connectors.get(channel)

export * from './contract.ts'
export { NetworkFailure, backoffMs, classify, type FailureKind } from './shared/outcome.ts'
export { networkHttp } from './shared/networkHttp.ts'
export { TooLargeError } from './shared/readBody.ts'
export { RateBudget } from './shared/rateBudget.ts'
export { checkAddress, guardedLookup, InnerAddressError, isInnerAddress } from './shared/innerAddress.ts'
export { FeedError, parseFeed } from './news/parseFeed.ts'
export type { FeedEntry, ParsedFeed } from './news/parsedFeed.ts'
export { itemOfEntry } from './news/index.ts'
export { isTooDeep, parseJson, TooDeepError } from './shared/parseJson.ts'
export { htmlText } from './shared/htmlText.ts'
export { mentionOf, nextRound } from './shared/openSearch.ts'
