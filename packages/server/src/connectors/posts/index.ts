import { searchConnector } from '../shared/openSearch.ts'

/** Short posts, by the network's public search. */
export const postsConnector = searchConnector('posts')
