import type { RouteLocation } from 'vue-router'
import { parseLens } from '@murrabel/core/lens'
import { routes } from '@murrabel/contract'
import { askAhead } from '../../api/call.ts'
import { firstRows } from '../../composables/askRows.ts'
import { bases, lensPairs, lensQuery } from '../../composables/useLens.ts'
import { lensBehind } from '../../composables/useTide.ts'

/** Asks for what the inbox shows first while its code is still on the way. */
export function askAheadForInbox({ query: pairs, params }: RouteLocation): void {
  const { lens } = parseLens(lensPairs(pairs), bases.threads)
  const query = lensQuery(lens)
  const behind = lensBehind(lens)
  askAhead(routes.entries, { query: firstRows(query) })
  if (params.thread) askAhead(routes.thread, { params: { id: Number(params.thread) } })
  askAhead(routes.entryCount, { query })
  askAhead(routes.tide, { query })
  if (behind) askAhead(routes.tide, { query: lensQuery(behind) })
}
