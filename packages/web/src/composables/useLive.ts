import { onMounted, onUnmounted } from 'vue'
import { tryOnScopeDispose, useDebounceFn } from '@vueuse/core'
import { missedLimitMs, routes, type LiveEvent } from '@murrabel/contract'
import { aheadMs } from '../api/ahead.ts'

type Listener = (event: LiveEvent) => void
const listeners = new Set<Listener>()
let source: EventSource | null = null
let lost = false
/** Milliseconds an answer is waited for before the same is asked again. */
const longestMs = 30_000
/** Milliseconds a connection may take to open; after a longer time everybody looks again. */
const openingMs = 2_000
/** What may have happened while nothing was heard: anything, on any thread. */
const missed: LiveEvent[] = [
  { kind: 'entries', threads: [], count: 0 },
  { kind: 'profiles' },
  { kind: 'people' },
  { kind: 'followUps' },
  { kind: 'lenses' },
  { kind: 'patterns' },
  { kind: 'brand' },
  { kind: 'hooks' },
  { kind: 'watches' },
  { kind: 'teaching' },
  { kind: 'alerts' },
]

/** What was heard lately: a page that is drawn after it shows what was asked for before it. */
let heard: { at: number; event: LiveEvent }[] = []
const heardLately = (): LiveEvent[] => {
  const now = performance.now()
  heard = heard.filter(({ at }) => now - at <= aheadMs)
  return heard.map(({ event }) => event)
}
function tell(event: LiveEvent): void {
  heardLately()
  heard.push({ at: performance.now(), event })
  for (const listener of listeners) listener(event)
}
function open(): void {
  if (source) return
  const began = performance.now()
  // What is on the screen was loaded since the page was asked for; what has changed since then is told again.
  const missedMs = Math.ceil(Math.min(began + openingMs, missedLimitMs))
  source = new EventSource(`${routes.live.path}?missed=${missedMs}`)
  source.onmessage = ({ data }) => {
    const event = JSON.parse(String(data)) as LiveEvent
    // The server itself was without news for a while.
    if (event.kind === 'afresh') missed.forEach(tell)
    else tell(event)
  }
  source.onopen = () => {
    if (lost || performance.now() - began > openingMs) missed.forEach(tell)
    lost = false
  }
  source.onerror = () => {
    lost = true
    // The browser tries again by itself, unless the server said no.
    if (source?.readyState === EventSource.CLOSED) {
      source = null
      setTimeout(() => listeners.size && open(), 3000)
    }
  }
}

function close(): void {
  source?.close()
  source = null
  heard = []
}

/**
 * Server-sent events of the brand; one connection however many listen. After a loss everybody looks again. What was told
 * shortly before one begins to listen is told again: its first answers were asked for ahead.
 */
export function useLive(on: Listener): void {
  onMounted(() => {
    listeners.add(on)
    heardLately().forEach(on)
    open()
  })
  onUnmounted(() => {
    listeners.delete(on)
    if (!listeners.size) close()
  })
}

/**
 * Calls once for many calls in a short time, at the latest after four times that: news that never pause are shown too. The next
 * call waits for the answer to the last, so that a slow server is not asked more than it can answer. What is left when its
 * owner goes is not called any more.
 *
 * @param act what it promises is waited for
 */
export function gathered(act: () => unknown, waitMs = 150): () => void {
  let gone = false
  let isUnder = false
  let again = false
  tryOnScopeDispose(() => {
    gone = true
  })
  const later = useDebounceFn(
    () => {
      if (gone) return
      if (isUnder) again = true
      else run()
    },
    waitMs,
    { maxWait: 4 * waitMs },
  )
  function run(): void {
    again = false
    const answer = act()
    if (!(answer instanceof Promise)) return
    isUnder = true
    // One that never comes does not hold up what is asked later.
    const waited = new Promise((resolve) => setTimeout(resolve, longestMs))
    void Promise.race([answer, waited]).finally(() => {
      isUnder = false
      if (again) void later()
    })
  }
  return () => void later()
}
