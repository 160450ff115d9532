export { connectEmail } from './email.ts'
export { exportOpml, importOpml } from './opml.ts'
export {
  collectNow,
  connectFeed,
  connectSearch,
  disconnectProfile,
  listNetworks,
  listProfiles,
  putProfile,
  searchSoon,
  takeGranted,
} from './profiles.ts'
