import { defineStore } from 'pinia'
import { ref } from 'vue'
import { printLens, blankLens } from '@murrabel/core/lens'
import { routes } from '@murrabel/contract'
import { call } from '../api/call.ts'
import { bases } from '../composables/useLens.ts'

/** What stands beside the sections' names: threads past due under the inbox's usual lens. */
export const useCounts = defineStore('counts', () => {
  const pastDue = ref(0)
  async function load(): Promise<void> {
    const query: [string, string][] = [
      ['unit', 'threads'],
      ...printLens(bases.threads, { ...blankLens, unit: 'threads' }),
    ]
    pastDue.value = (await call(routes.entryCount, { query })).pastDue
  }
  return { pastDue, load }
})
