export { exportOpml, importOpml } from './opml.ts'
export {
  collectNow,
  connectFeed,
  connectSearch,
  disconnectProfile,
  listNetworks,
  listProfiles,
  searchSoon,
  takeGranted,
} from './profiles.ts'
