import { defineStore } from 'pinia'
import { shallowReactive } from 'vue'
import { routes } from '@murrabel/contract'
import { call } from '../api/call.ts'

/** Names of voices by their account, as lists show them or as they are asked for. */
export const useVoices = defineStore('voices', () => {
  const names = shallowReactive(new Map<number, string>())
  const asked = new Set<number>()

  function know(id: number | null, name: string): void {
    if (id !== null && name && names.get(id) !== name) names.set(id, name)
  }
  function nameOf(id: number): string {
    const known = names.get(id)
    if (known) return known
    if (!asked.has(id)) {
      asked.add(id)
      void call(routes.voice, { params: { id } })
        .then(({ name }) => know(id, name))
        .catch(() => {})
    }
    return `#${id}`
  }
  return { know, nameOf }
})
