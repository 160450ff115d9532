import { accountConnector } from '../shared/accountStream.ts'
import { searchConnector } from '../shared/openSearch.ts'

/** Videos of ours, with comments and their answers. */
export const videoConnector = accountConnector({
  channel: 'video',
  replyLength: 5000,
  repliesTo: ['comment', 'mention'],
})
/** Videos, by the network's public search. */
export const videoSearch = searchConnector('video')
