import type { LocationQueryRaw, RouteLocation } from 'vue-router'
import { parseLens, printRange } from '@murrabel/core/lens'
import { routes } from '@murrabel/contract'
import { askAhead } from '../../api/call.ts'
import { firstRows } from '../../composables/askRows.ts'
import { bases, lensPairs, lensQuery } from '../../composables/useLens.ts'
import { useBrand } from '../../stores/brand.ts'
import { isFolding } from './folding.ts'

/** The pairs of an address that names no watch and no group, with the first watch of the list; null when it names one. */
export function withFirstWatch(query: RouteLocation['query']): LocationQueryRaw | null {
  if (query.watch !== undefined || query.group !== undefined) return null
  const { watches, groups } = useBrand()
  const first = watches.find((w) => w.groupId === null || groups[0]?.id === w.groupId) ?? watches[0]
  return first ? { ...query, watch: String(first.id) } : null
}

/** Asks for what a watch's page shows first while its code is still on the way. */
export function askAheadForWatch({ query: pairs }: RouteLocation): void {
  const { lens } = parseLens(lensPairs(pairs), bases.entries)
  if (lens.watch === null && lens.group === null) return
  const query = lensQuery(lens)
  askAhead(routes.entries, { query: firstRows(query, { fold: isFolding() }) })
  askAhead(routes.entryCount, { query })
  askAhead(routes.figures, { query })
  askAhead(routes.tide, { query })
  askAhead(routes.summaries, { query: [['time', printRange(lens.range)]] })
}
