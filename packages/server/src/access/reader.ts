import type { Role } from '@murrabel/contract'

/** Who looks, and how far: every query is asked in somebody's name. */
export interface Reader {
  colleagueId: number
  brandId: number
  role: Role
  /** Null: all places, all profiles. */
  placeIds: number[] | null
  profileIds: number[] | null
}

export type Right = 'answer' | 'watch' | 'setUp' | 'import'

const rights: Record<Role, readonly Right[]> = {
  owner: ['answer', 'watch', 'setUp', 'import'],
  lead: ['answer', 'watch', 'setUp', 'import'],
  specialist: ['answer', 'watch', 'import'],
  placeManager: ['answer'],
  reader: [],
}

export const may = (reader: Reader, right: Right): boolean => rights[reader.role].includes(right)
