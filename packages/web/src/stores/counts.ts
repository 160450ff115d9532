import { defineStore } from 'pinia'
import { ref } from 'vue'
import { printLens, blankLens } from '@murrabel/core/lens'
import { routes } from '@murrabel/contract'
import { addressOf, call } from '../api/call.ts'
import { bases } from '../composables/useLens.ts'

const usualQuery = (): [string, string][] => [
  ['unit', 'threads'],
  ...printLens(bases.threads, { ...blankLens, unit: 'threads' }),
]
/** Where that is asked for. */
export const countsAddress = (): string => addressOf(routes.entryCount, { query: usualQuery() })

/** What stands beside the sections' names: threads past due under the inbox's usual lens. */
export const useCounts = defineStore('counts', () => {
  const pastDue = ref(0)
  async function load(): Promise<void> {
    pastDue.value = (await call(routes.entryCount, { query: usualQuery() })).pastDue
  }
  return { pastDue, load }
})
