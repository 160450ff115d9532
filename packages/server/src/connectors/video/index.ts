import { searchConnector } from '../shared/openSearch.ts'

/** Videos and their comments, by the network's public search. */
export const videoConnector = searchConnector('video')
