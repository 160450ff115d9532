import { chatConnector } from './chat/index.ts'
import type { Connector } from './contract.ts'
import { emailConnector } from './email/index.ts'
import { forumConnector, forumSearch } from './forum/index.ts'
import { mapsConnector } from './maps/index.ts'
import { newsConnector } from './news/index.ts'
import { pagesConnector } from './pages/index.ts'
import { photosConnector, photosSearch } from './photos/index.ts'
import { postsConnector, postsSearch } from './posts/index.ts'
import { reviewsConnector } from './reviews/index.ts'
import { textsConnector } from './texts/index.ts'
import { videoConnector, videoSearch } from './video/index.ts'

const byChannel = (connectors: readonly Connector[]) => new Map(connectors.map((c) => [c.channel, c]))

const accounts = byChannel([
  pagesConnector,
  mapsConnector,
  reviewsConnector,
  newsConnector,
  postsConnector,
  photosConnector,
  videoConnector,
  forumConnector,
  textsConnector,
  emailConnector,
  chatConnector,
])
const searches = byChannel([postsSearch, photosSearch, videoSearch, forumSearch])

/** Outside id of a profile that is no account but a search of the whole network. */
export const searchId = 'search'

/** The connector of a profile: of its channel's accounts, or of its search; undefined for what came from files. */
export const connectorOf = ({
  channel,
  outsideId,
}: {
  channel: string
  outsideId: string
}): Connector | undefined => (outsideId === searchId ? searches : accounts).get(channel)

/** The connector of a channel's accounts. */
export const accountConnectorOf = (channel: string): Connector | undefined => accounts.get(channel)
/** The connector that searches a channel. */
export const searchConnectorOf = (channel: string): Connector | undefined => searches.get(channel)

export * from './contract.ts'
export { NetworkFailure, backoffMs, classify, type FailureKind } from './shared/outcome.ts'
export { networkHttp } from './shared/networkHttp.ts'
export { TooLargeError } from './shared/readBody.ts'
export { RateBudget } from './shared/rateBudget.ts'
export { checkAddress, guardedLookup, InnerAddressError, isInnerAddress } from './shared/innerAddress.ts'
export { itemOfLine, visitThread } from './chat/index.ts'
export { partsOfMail } from './email/mailItem.ts'
export { mailLimits, readMail, type ReadMail } from './email/readMail.ts'
export type { MailServer, MailSettings } from './email/mailSettings.ts'
export { FeedError, parseFeed } from './news/parseFeed.ts'
export type { FeedEntry, ParsedFeed } from './news/parsedFeed.ts'
export { itemOfEntry } from './news/index.ts'
export { isTooDeep, parseJson, TooDeepError } from './shared/parseJson.ts'
export { htmlText } from './shared/htmlText.ts'
export { mentionOf, nextRound } from './shared/openSearch.ts'
