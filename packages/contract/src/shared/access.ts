import type { Role } from '../brand/answers.ts'

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
  /** Hand out one person's data, and erase it. */
  data: ['owner', 'lead'],
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
  file: 60_000_000,
  attachment: 25_000_000,
} as const

export interface Access {
  right: Right
  scope: Scope
  body: keyof typeof bodyBytes
}

/** The access of a route: each route is declared with its own. */
export const can = (right: Right, scope: Scope, body: Access['body'] = 'none'): Access => ({
  right,
  scope,
  body,
})

/** Somebody who asks: their role, and whether they are limited to places or profiles. */
export interface Asking {
  role: Role
  limited: boolean
}

/** Whether a colleague has a right, for a route of this scope. */
export const mayDo = ({ role, limited }: Asking, right: Right, scope: Scope = 'seen'): boolean =>
  (rights[right] as readonly Role[]).includes(role) && !(limited && scope === 'brand')
