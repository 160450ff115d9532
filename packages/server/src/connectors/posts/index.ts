import { accountConnector } from '../shared/accountStream.ts'
import { searchConnector } from '../shared/openSearch.ts'

/** Short posts: our accounts, with private messages. */
export const postsConnector = accountConnector({
  channel: 'posts',
  replyLength: 300,
  repliesTo: ['comment', 'mention', 'message'],
  pictures: true,
})
/** Short posts, by the network's public search. */
export const postsSearch = searchConnector('posts')
