import { defineStore } from 'pinia'
import { ref } from 'vue'
import { routes } from '@murrabel/contract'
import { call } from '../api/call.ts'

/** A fault that a person was told of. */
export interface ToldFault {
  /** By which it is found in the server's log. */
  number: string
}

/** Letters and figures that nobody mistakes for another when reading them out. */
const signs = '23456789ABCDEFGHJKLMNPQRSTUVWXYZ'
function numberOfFault(): string {
  const drawn = [...crypto.getRandomValues(new Uint8Array(8))].map((n) => signs[n % signs.length])
  return `${drawn.slice(0, 4).join('')}-${drawn.slice(4).join('')}`
}
const textOf = (error: unknown): string =>
  error instanceof Error ? (error.stack ?? `${error.name}: ${error.message}`) : String(error)

/** What went wrong that nobody expected: told to the person as a sentence with a number, and to the server's log. */
export const useFaults = defineStore('faults', () => {
  const last = ref<ToldFault | null>(null)
  /** A newer version is installed, or a part of this one is gone. */
  const outdated = ref(false)

  function tell(error: unknown): ToldFault {
    const told = { number: numberOfFault() }
    last.value = told
    console.error(told.number, error)
    const body = {
      number: told.number,
      text: textOf(error).slice(0, 4000),
      path: location.pathname.slice(0, 200),
      version: __VERSION__,
    }
    // Without a session or a server the number still stands in the browser's console.
    call(routes.tellFault, { body, quiet: true }).catch(() => {})
    return told
  }
  return { last, outdated, tell, clear: () => (last.value = null) }
})
