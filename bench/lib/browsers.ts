import { percentile } from './measure.ts'

// Open pages of the inbox as far as the server sees them: a stream of events, and the questions that follow a notice. Waits
// and bundling are those of web/composables/useLive.ts and sections/inbox/InboxPage.vue.
const [address = '', cookie = '', count = '1', seconds = '20'] = process.argv.slice(2)
const lens = 'unit=threads&state=open&time=last-14'
const rowsWait = { quietMs: 150, longestMs: 600 }
const countsWait = { quietMs: 500, longestMs: 2_000 }
/** Seconds in which the server and the pages warm up: a steady stream is measured. */
const warmSeconds = 5
/** Milliseconds from a notice to its rows on the screen. */
const took: number[] = []
let questions = 0

async function ask(path: string): Promise<void> {
  questions++
  const response = await fetch(`${address}${path}`, { headers: { cookie } })
  await response.text()
  if (!response.ok) throw new Error(`${path}: ${response.status}`)
}

/** Calls once for many calls in a short time. */
function gathered(act: () => Promise<void>, { quietMs, longestMs }: typeof rowsWait): () => void {
  let timer: NodeJS.Timeout | undefined
  let first = 0
  return () => {
    const now = performance.now()
    first ||= now
    clearTimeout(timer)
    timer = setTimeout(
      () => {
        first = 0
        void act()
      },
      Math.min(quietMs, Math.max(0, first + longestMs - now)),
    )
  }
}

async function openPage(signal: AbortSignal): Promise<void> {
  let touched = new Map<number, number>()
  const rows = gathered(async () => {
    const asked = touched
    touched = new Map()
    await ask(`/api/entries?${lens}&limit=200&threads=${[...asked.keys()].join(',')}`)
    const now = performance.now()
    if (now > warmSeconds * 1000) for (const at of asked.values()) took.push(now - at)
  }, rowsWait)
  const counts = gathered(async () => {
    await Promise.all([ask(`/api/entries/count?${lens}`), ask(`/api/tide?${lens}`)])
  }, countsWait)
  const stream = await fetch(`${address}/api/live`, { headers: { cookie }, signal })
  const decoder = new TextDecoder()
  let text = ''
  for await (const chunk of stream.body!) {
    text += decoder.decode(chunk as Uint8Array, { stream: true })
    const lines = text.split('\n')
    text = lines.pop() ?? ''
    for (const line of lines) {
      if (!line.startsWith('data: ')) continue
      const event = JSON.parse(line.slice(6)) as { threads?: number[] }
      for (const id of event.threads ?? []) if (!touched.has(id)) touched.set(id, performance.now())
      rows()
      counts()
    }
  }
}

const stop = new AbortController()
const pages = Array.from({ length: Number(count) }, () => openPage(stop.signal).catch(() => {}))
setTimeout(
  () => {
    stop.abort()
    void Promise.all(pages).then(() => {
      process.send?.({ median: percentile(took, 0.5), high: percentile(took, 0.95), questions })
      process.exit(0)
    })
  },
  Number(seconds) * 1000,
)
