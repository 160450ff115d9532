import { mayDo, type Right, type Role, type Scope } from '@murrabel/contract'

/** Who looks, and how far: every query is asked in somebody's name. */
export interface Reader {
  colleagueId: number
  brandId: number
  role: Role
  /** Null: all places, all profiles. */
  placeIds: number[] | null
  profileIds: number[] | null
}

/** Limited to some places or profiles. */
export const isLimited = ({ placeIds, profileIds }: Pick<Reader, 'placeIds' | 'profileIds'>): boolean =>
  placeIds !== null || profileIds !== null

export const may = (reader: Reader, right: Right, scope: Scope = 'seen'): boolean =>
  mayDo({ role: reader.role, limited: isLimited(reader) }, right, scope)
