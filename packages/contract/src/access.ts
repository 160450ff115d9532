import type { Role } from './answers.ts'
import type { RouteName } from './routes.ts'

/** What a colleague may be allowed to do. */
export const rights = {
  /** See entries, figures, watches, alerts. */
  look: ['owner', 'lead', 'specialist', 'placeManager', 'reader'],
  /** Reply, finish, assign, tag, keep, correct. */
  answer: ['owner', 'lead', 'specialist', 'placeManager'],
  /** Change watches, groups, alerts, and what the brand teaches. */
  watch: ['owner', 'lead', 'specialist'],
  /** Bring in files. */
  import: ['owner', 'lead', 'specialist'],
  /** Connect and disconnect profiles and feeds. */
  setUp: ['owner', 'lead'],
} as const satisfies Record<string, readonly Role[]>

export type Right = keyof typeof rights

/**
 * How far a route reaches.
 * - `nobody`: it needs no session.
 * - `self`: one's own session and what one has seen.
 * - `seen`: what the reader's places and profiles let them see; anything else is not there.
 * - `shared`: names that everybody on the brand shares, such as groups and tags; no word of an entry, no count.
 * - `brand`: the brand as a whole; whoever is limited to places or profiles may not.
 */
export type Scope = 'nobody' | 'self' | 'seen' | 'shared' | 'brand'

/** Largest body of a route, in bytes. */
export const bodyBytes = {
  none: 0,
  small: 20_000,
  medium: 300_000,
  large: 2_000_000,
  file: 24_000_000,
} as const

export interface Access {
  right: Right
  scope: Scope
  body: keyof typeof bodyBytes
}

const can = (right: Right, scope: Scope, body: Access['body'] = 'none'): Access => ({ right, scope, body })

/** Every route has its line here; the build fails for one without. */
export const routeAccess = {
  signIn: can('look', 'nobody', 'small'),
  signOut: can('look', 'nobody'),
  brand: can('look', 'seen'),
  live: can('look', 'seen'),

  entries: can('look', 'seen'),
  entryCount: can('look', 'seen'),
  tide: can('look', 'seen'),
  exportCsv: can('look', 'seen'),
  exportFeed: can('look', 'seen'),
  correct: can('answer', 'seen', 'small'),
  correctMany: can('answer', 'seen', 'small'),
  keepEntries: can('answer', 'seen', 'small'),

  thread: can('look', 'seen'),
  reply: can('answer', 'seen', 'medium'),
  threadEvent: can('answer', 'seen', 'small'),
  undo: can('answer', 'seen', 'small'),
  tagThreads: can('answer', 'seen', 'small'),
  give: can('answer', 'seen', 'small'),
  retryAction: can('answer', 'seen', 'small'),
  cancelAction: can('answer', 'seen', 'small'),

  watches: can('look', 'seen'),
  createWatch: can('watch', 'brand', 'medium'),
  updateWatch: can('watch', 'brand', 'medium'),
  deleteWatch: can('watch', 'brand'),
  restoreWatch: can('watch', 'brand', 'small'),
  tuneWatch: can('look', 'seen', 'medium'),
  markHits: can('watch', 'brand', 'medium'),
  pauseWatch: can('watch', 'brand', 'small'),
  copyWatch: can('watch', 'brand', 'small'),
  proposeWatches: can('look', 'shared', 'small'),
  exportWatches: can('look', 'shared'),
  importWatches: can('watch', 'brand', 'large'),
  groups: can('look', 'shared'),
  createGroup: can('watch', 'brand', 'small'),
  updateGroup: can('watch', 'brand', 'small'),
  deleteGroup: can('watch', 'brand'),

  standings: can('look', 'seen'),
  figures: can('look', 'seen'),
  phrases: can('look', 'seen'),
  spikes: can('look', 'seen'),
  compare: can('look', 'seen'),
  rivals: can('look', 'seen'),
  addPublicProfile: can('watch', 'brand', 'small'),
  removePublicProfile: can('watch', 'brand'),
  voices: can('look', 'seen'),
  voice: can('look', 'seen'),
  changeVoice: can('answer', 'seen', 'small'),

  teaching: can('look', 'brand'),
  saveWords: can('watch', 'brand', 'medium'),
  saveAspects: can('watch', 'brand', 'medium'),
  wantLearning: can('watch', 'brand', 'small'),
  learnNow: can('watch', 'brand', 'small'),
  tryReading: can('look', 'shared', 'medium'),

  alerts: can('look', 'seen'),
  tryAlert: can('look', 'seen', 'small'),
  createAlert: can('watch', 'seen', 'small'),
  updateAlert: can('watch', 'seen', 'small'),
  deleteAlert: can('watch', 'seen'),
  restoreAlert: can('watch', 'seen', 'small'),
  alertEvents: can('look', 'seen'),
  alertFeed: can('watch', 'seen', 'small'),
  alertFeedOff: can('watch', 'seen'),
  bell: can('look', 'seen'),
  bellSeen: can('look', 'self', 'small'),
  watchFeedState: can('watch', 'brand'),
  watchFeed: can('watch', 'brand', 'small'),
  watchFeedOff: can('watch', 'brand'),

  networks: can('look', 'seen'),
  profiles: can('look', 'seen'),
  connect: can('setUp', 'brand', 'small'),
  connectFeed: can('setUp', 'brand', 'small'),
  exportFeeds: can('look', 'seen'),
  importFeeds: can('setUp', 'brand', 'large'),
  connectSearch: can('setUp', 'brand', 'small'),
  collectNow: can('setUp', 'seen', 'small'),
  disconnect: can('setUp', 'seen', 'small'),
  itemsApart: can('look', 'seen'),
  tryApartAgain: can('setUp', 'seen', 'small'),

  imports: can('import', 'brand'),
  importDocument: can('import', 'brand', 'file'),
  importState: can('import', 'brand'),
  startImport: can('import', 'brand', 'small'),
  dropImport: can('import', 'brand'),
} as const satisfies Record<RouteName, Access>

/** Somebody who asks: their role, and whether they are limited to places or profiles. */
export interface Asking {
  role: Role
  limited: boolean
}

/** Whether a colleague has a right, for a route of this scope. */
export const mayDo = ({ role, limited }: Asking, right: Right, scope: Scope = 'seen'): boolean =>
  (rights[right] as readonly Role[]).includes(role) && !(limited && scope === 'brand')
