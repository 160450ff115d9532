import { accountConnector } from '../shared/accountStream.ts'
import { searchConnector } from '../shared/openSearch.ts'

/** Forum threads that we began or are named in, and their answers. */
export const forumConnector = accountConnector({
  channel: 'forum',
  replyLength: 20_000,
  repliesTo: ['comment', 'mention'],
})
/** Forum threads, by the network's public search. */
export const forumSearch = searchConnector('forum')
