import { createParser } from 'eventsource-parser'
import type { ChatEvent } from '@murrabel/contract'

/** What came of asking: an answer, a refusal in words of the server, or nobody there. */
export type Asked<T> =
  { kind: 'answer'; answer: T } | { kind: 'refused'; status: number; code: string } | { kind: 'away' }

export interface Network {
  ask<T>(what: string, body: object): Promise<Asked<T>>
  /** Follows a conversation until `signal` ends it or the line is lost; resolves then. */
  follow(token: string, tell: (event: ChatEvent) => void, signal: AbortSignal): Promise<void>
}

const timeoutMs = 15_000
/** The server says something at least every 20 seconds. */
const silentMs = 60_000

/** Asks the server that the script came from. Plain text needs no leave in advance; cookies are never sent. */
export function networkOf(server: string, site: string): Network {
  const post = (what: string, body: object, signal: AbortSignal) =>
    fetch(`${server}/chat/${encodeURIComponent(site)}/${what}`, {
      method: 'POST',
      headers: { 'Content-Type': 'text/plain;charset=UTF-8' },
      body: JSON.stringify(body),
      credentials: 'omit',
      referrerPolicy: 'origin',
      signal,
    })
  return {
    async ask<T>(what: string, body: object): Promise<Asked<T>> {
      try {
        const response = await post(what, body, AbortSignal.timeout(timeoutMs))
        const text = await response.text()
        if (response.ok) return { kind: 'answer', answer: (text ? JSON.parse(text) : undefined) as T }
        if (response.status >= 500) return { kind: 'away' }
        const { code = '' } = JSON.parse(text) as { code?: string }
        return { kind: 'refused', status: response.status, code }
      } catch {
        return { kind: 'away' }
      }
    },
    async follow(token, tell, signal) {
      const own = new AbortController()
      const end = () => own.abort()
      signal.addEventListener('abort', end)
      let watch = setTimeout(end, silentMs)
      try {
        const response = await post('events', { token }, own.signal)
        if (!response.ok || !response.body) return
        const parser = createParser({ onEvent: ({ data }) => tell(JSON.parse(data) as ChatEvent) })
        const reader = response.body.pipeThrough(new TextDecoderStream()).getReader()
        for (;;) {
          const { done, value } = await reader.read()
          if (done) return
          clearTimeout(watch)
          watch = setTimeout(end, silentMs)
          parser.feed(value)
        }
      } catch {
        // Lost, or ended: the caller knows which.
      } finally {
        clearTimeout(watch)
        signal.removeEventListener('abort', end)
      }
    },
  }
}
