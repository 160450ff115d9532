import type { Ref } from 'vue'
import { routes, type CountAnswer } from '@murrabel/contract'
import { addressOf } from '../api/call.ts'
import { useKnown } from '../firstScreen/known.ts'
import { useCount } from './useCount.ts'

/** How many a lens has. */
export function useEntryCount(query: Ref<[string, string][]>) {
  const known = useKnown<CountAnswer>()(addressOf(routes.entryCount, { query: query.value }))
  return useCount(routes.entryCount, query, known)
}
