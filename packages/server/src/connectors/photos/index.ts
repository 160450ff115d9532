import { searchConnector } from '../shared/openSearch.ts'

/** Photos with captions, by the network's public search. */
export const photosConnector = searchConnector('photos')
