import {
  closeSync,
  existsSync,
  fstatSync,
  openSync,
  readFileSync,
  readSync,
  renameSync,
  writeFileSync,
} from 'node:fs'
import { join } from 'node:path'
import { Living, livingNetworks, type Deed, type Line, type Network } from './living.ts'
import { visit } from './liveChat.ts'
import { pick, seeded } from './random.ts'

/**
 * live.ts FOLDER FIRST_PORT PER_MINUTE: lets the demo world go on. People write through the stand-ins' own pages, read what
 * they are answered, and answer back or change their stars; deliveries come doubled and out of order. What has been read
 * and what is still to be done is kept, so that it goes on from where it was.
 */
const [folder = '.', first = '4700', pace = '6'] = process.argv.slice(2)
const perMinute = Math.min(600, Math.max(0.1, Number(pace) || 6))
const portOf: Record<Network, number> = {
  lanternpage: 0,
  wherabout: 1,
  skimmer: 3,
  talkstead: 6,
  mailroom: 7,
  fivefold: 9,
  textmast: 10,
}
const addressOf = (network: Network) => `http://127.0.0.1:${Number(first) + portOf[network]}`

interface Kept {
  /** Bytes of each journal that have been read. */
  read: Partial<Record<Network, number>>
  /** What people are about to do. */
  planned: { at: number; deed: Deed }[]
}
const file = join(folder, 'living.json')
const kept: Kept = existsSync(file)
  ? (JSON.parse(readFileSync(file, 'utf8')) as Kept)
  : { read: {}, planned: [] }
function keep(): void {
  writeFileSync(`${file}.new`, JSON.stringify(kept))
  renameSync(`${file}.new`, file)
}

const random = seeded(Date.now())
const living = new Living(random)
const lines = new Map<string, Line>()

/** What a journal holds beyond what was read; only whole lines. */
function* news(network: Network): Generator<{ line: Line; isNew: boolean }> {
  const journal = join(folder, `${network}.jsonl`)
  if (!existsSync(journal)) return
  const before = offsets.get(network) ?? 0
  const handle = openSync(journal, 'r')
  const { size } = fstatSync(handle)
  const bytes = Buffer.alloc(Math.max(0, size - before))
  readSync(handle, bytes, 0, bytes.length, before)
  closeSync(handle)
  const end = bytes.lastIndexOf(10) + 1
  offsets.set(network, before + end)
  // What was there when the world was first brought to life is its past: nobody reacts to that.
  const known = kept.read[network] ?? before + end
  let at = before
  for (const text of bytes.subarray(0, end).toString('utf8').split('\n')) {
    at += Buffer.byteLength(text) + 1
    if (!text) continue
    const line = JSON.parse(text) as Line
    if (typeof line.id === 'string') lines.set(`${network}/${line.id}`, line)
    yield { line, isNew: at > known }
  }
  kept.read[network] = Math.max(known, before + end)
}
const offsets = new Map<Network, number>()

async function carryOut({ network, path, form }: Deed): Promise<void> {
  const answer = await fetch(addressOf(network) + path, {
    method: 'POST',
    body: new URLSearchParams(form),
    redirect: 'manual',
  }).catch(() => null)
  if (answer && answer.status < 400) console.log(`${network} ${path}`)
  else console.log(`${network} ${path} was not taken: ${answer?.status ?? 'no answer'}`)
}

/** Somebody likes what we have said on our page, or passes it on. */
function like(): void {
  const posts = [...lines.values()].filter(
    (line) => line.op === 'note' && line.page === 'skerrivane' && !line.inReplyTo && !line.conversation,
  )
  const post = posts.length ? pick(random, posts.slice(-20)) : undefined
  if (post)
    void carryOut({
      network: 'lanternpage',
      path: `/notes/${String(post.id)}/${random() < 0.9 ? 'like' : 'share'}`,
      form: {},
    })
}

/** Networks as they are: news come twice now and then, and not in order. */
async function troubles(): Promise<void> {
  for (const network of livingNetworks)
    if (network !== 'mailroom')
      await fetch(`${addressOf(network)}/switchboard`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ doubleDeliveries: random() < 0.5, reorderDeliveries: random() < 0.5 }),
      }).catch(() => {})
}

let stopped = false
process.on('SIGTERM', () => (stopped = true))
process.on('SIGINT', () => (stopped = true))
if (process.env.MURRABEL_PARENT) {
  process.stdin.resume()
  process.stdin.on('close', () => process.exit(0))
}

let next = Date.now()
let nextTroubles = 0
while (!stopped) {
  const now = Date.now()
  for (const network of livingNetworks)
    for (const { line, isNew } of news(network)) {
      const deed = isNew ? living.react(network, line, (id) => lines.get(`${network}/${id}`)) : null
      if (deed) kept.planned.push({ at: now + (10 + 110 * random()) * 1000, deed })
    }
  const due = kept.planned.filter(({ at }) => at <= now)
  kept.planned = kept.planned.filter(({ at }) => at > now)
  if (next <= now) {
    // One of ten comes to the site and writes into its box.
    if (random() < 0.1)
      void visit(random, {
        folder,
        origin: `http://127.0.0.1:${Number(first) + 12}`,
        name: living.someName(),
      })
    else due.push({ at: now, deed: living.say(now) })
    like()
    // As calls come in: independent of each other.
    next = now + (-Math.log(1 - random()) * 60_000) / perMinute
  }
  keep()
  for (const { deed } of due) await carryOut(deed)
  if (nextTroubles <= now) {
    nextTroubles = now + 60_000
    await troubles()
  }
  await new Promise((resolve) => setTimeout(resolve, 500))
}
