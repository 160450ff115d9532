import { mayDo, type Right, type Role, type Scope } from '@murrabel/contract'

/** Who looks, and how far: every query is asked in somebody's name. */
export interface Reader {
  colleagueId: number
  brandId: number
  role: Role
  /** Null: all places, all profiles. */
  placeIds: number[] | null
  profileIds: number[] | null
  /** A program asks, with a key that may do these alone. */
  keyRights?: readonly Right[]
}

/** Limited to some places or profiles. */
export const isLimited = ({ placeIds, profileIds }: Pick<Reader, 'placeIds' | 'profileIds'>): boolean =>
  placeIds !== null || profileIds !== null

/** Whether the reader has a right; a program has no session of its own to look after. */
export const may = (reader: Reader, right: Right, scope: Scope = 'seen'): boolean =>
  (!reader.keyRights || (scope !== 'self' && reader.keyRights.includes(right))) &&
  mayDo({ role: reader.role, limited: isLimited(reader) }, right, scope)
