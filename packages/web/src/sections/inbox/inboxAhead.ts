import type { RouteLocation } from 'vue-router'
import { parseLens } from '@murrabel/core/lens'
import { routes, type Route } from '@murrabel/contract'
import { addressOf, askAhead, type CallOptions } from '../../api/call.ts'
import { firstRows } from '../../composables/askRows.ts'
import { bases, lensPairs, lensQuery } from '../../composables/useLens.ts'
import { lensBehind } from '../../composables/useTide.ts'

type Asked = [route: Route<undefined, unknown>, options: CallOptions<undefined>]
type Place = Pick<RouteLocation, 'query' | 'params'>

/** What the inbox shows first. */
function firstAsked({ query: pairs, params }: Place): Asked[] {
  const { lens } = parseLens(lensPairs(pairs), bases.threads)
  const query = lensQuery(lens)
  const behind = lensBehind(lens)
  return [
    [routes.entries, { query: firstRows(query) }],
    ...(params.thread ? [[routes.thread, { params: { id: Number(params.thread) } }] satisfies Asked] : []),
    [routes.entryCount, { query }],
    [routes.tide, { query }],
    ...(behind ? [[routes.tide, { query: lensQuery(behind) }] satisfies Asked] : []),
  ]
}

/** Asks for what the inbox shows first while its code is still on the way. */
export function askAheadForInbox(place: RouteLocation): void {
  for (const [route, options] of firstAsked(place)) askAhead(route, options)
}

/** The addresses at which the inbox asks for what it shows first. */
export const firstAddresses = (place: Place): string[] =>
  firstAsked(place).map(([route, options]) => addressOf(route, options))
