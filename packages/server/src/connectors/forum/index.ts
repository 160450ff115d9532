import { searchConnector } from '../shared/openSearch.ts'

/** Threads of forums, by the network's public search. */
export const forumConnector = searchConnector('forum')
