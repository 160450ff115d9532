import { accountConnector } from '../shared/accountStream.ts'
import { searchConnector } from '../shared/openSearch.ts'

/** Pictures: our accounts, comments under them, pictures we are named in, private messages. */
export const photosConnector = accountConnector({
  channel: 'photos',
  replyLength: 2200,
  repliesTo: ['comment', 'mention', 'message'],
  pictures: true,
})
/** Pictures and their captions, by the network's public search. */
export const photosSearch = searchConnector('photos')
