import type { Lens } from '@murrabel/core/lens'
import type { Reader } from '../../access/reader.ts'

/** Readers who see the same, and ask the same, have one key. */
export function questionKey(
  what: string,
  { brandId, colleagueId, placeIds, profileIds }: Reader,
  { lens, query }: { lens: Lens; query: Record<string, unknown> },
): string {
  const asksOfMe = lens.givenTo === 'me' || lens.givenTo === 'meOrNobody' || lens.uncaught
  const asked = Object.entries(query).sort(([a], [b]) => (a < b ? -1 : 1))
  return JSON.stringify([what, brandId, placeIds, profileIds, asksOfMe ? colleagueId : null, asked])
}
