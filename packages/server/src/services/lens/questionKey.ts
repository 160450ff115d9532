import type { Lens } from '@murrabel/core/lens'
import type { Reader } from '../../access/reader.ts'

/** What is another thing for each who asks. */
const ofWhoAsks: ReadonlySet<unknown> = new Set(['me', 'mine', 'myTeams', 'meOrNobody'])

/** Readers who see the same, and ask the same, have one key. */
export function questionKey(
  what: string,
  { brandId, colleagueId, placeIds, profileIds }: Reader,
  { lens, query }: { lens: Lens; query: Record<string, unknown> },
): string {
  const own = lens.uncaught || Object.values(lens).some((value) => ofWhoAsks.has(value))
  const asked = Object.entries(query).sort(([a], [b]) => (a < b ? -1 : 1))
  return JSON.stringify([what, brandId, placeIds, profileIds, own ? colleagueId : null, asked])
}
