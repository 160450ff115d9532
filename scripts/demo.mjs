// npm run demo: everything a fresh machine needs, then the demo world until Ctrl-C. --fresh starts over; --processes 3
// runs three server processes behind a proxy; --live, or --live 30, lets people go on writing, 6 or 30 times a minute.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ensureNode, ensurePackages, ensurePostgres, ensureWeb, fail, root } from './lib/setup.mjs'

const folder = process.env.MURRABEL_DATA ?? join(root, 'data/demo')
const lock = join(folder, 'running.json')

/** Another demo that runs on this folder, if its process is really one of ours. */
function running() {
  if (!existsSync(lock)) return null
  try {
    const { pid, address } = JSON.parse(readFileSync(lock, 'utf8'))
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('demo.mjs') && pid !== process.pid
      ? { pid, address }
      : null
  } catch {
    return null
  }
}

const other = running()
if (other)
  fail(
    `The demo is running already${other.address ? ` at ${other.address}` : ''} (process ${other.pid}). Stop that one first.`,
  )

const began = Date.now()
ensureNode()
ensurePackages()
ensurePostgres()
ensureWeb()
const { startWorld } = await import('./lib/world.mjs')
const { startCluster } = await import('./lib/cluster.mjs')

if (process.argv.includes('--fresh') && existsSync(folder)) {
  if (process.env.DATABASE_URL)
    fail('--fresh empties the private database only. Empty the one of DATABASE_URL yourself.')
  const cluster = await startCluster(join(folder, 'postgres'))
  cluster.stop()
  cluster.remove()
  rmSync(folder, { recursive: true, force: true })
}
mkdirSync(folder, { recursive: true })
writeFileSync(lock, JSON.stringify({ pid: process.pid }))

/** How many server processes are wanted: --processes 3, or --processes=3. */
function processesAsked() {
  const at = process.argv.findIndex((each) => each === '--processes' || each.startsWith('--processes='))
  if (at < 0) return 1
  const count = Number(process.argv[at].split('=')[1] ?? process.argv[at + 1])
  if (!Number.isInteger(count) || count < 1 || count > 8)
    fail('--processes takes a number from 1 to 8, for example: npm run demo -- --processes 3')
  return count
}

/** How often somebody says something new, a minute; null: the world stands still. */
function paceAsked() {
  const at = process.argv.findIndex((each) => each === '--live' || each.startsWith('--live='))
  if (at < 0) return null
  const given = process.argv[at].split('=')[1] ?? process.argv[at + 1]
  const pace = given === undefined || given.startsWith('--') ? 6 : Number(given)
  if (!(pace > 0 && pace <= 600))
    fail('--live takes how often a minute, from 0.1 to 600, for example: npm run demo -- --live 30')
  return pace
}

let world = null
let stopping = false
async function stop(code) {
  if (stopping) return
  stopping = true
  console.log('\nStopping ...')
  await world?.stop()
  rmSync(lock, { force: true })
  process.exit(code)
}
process.on('SIGINT', () => void stop(0))
process.on('SIGTERM', () => void stop(0))

try {
  world = await startWorld(folder, { say: console.log, processes: processesAsked(), live: paceAsked() })
} catch (error) {
  rmSync(lock, { force: true })
  fail(error.message)
}
if (stopping) await world.stop()
writeFileSync(lock, JSON.stringify({ pid: process.pid, address: world.address }))
console.log(`
Murrabel is at ${world.address}  (${Math.round((Date.now() - began) / 1000)} s)

  sign in as        e-mail                       may
  Tamsin, specialist  tamsin@skerrivane.example    answer, watch, import
  Ivo, lead           ivo@skerrivane.example       also connect profiles
  Wynn, owner         wynn@skerrivane.example      everything
  Ness, Dunmarrow     ness@skerrivane.example      answer at Dunmarrow
  Rowan, reader       rowan@skerrivane.example     look

  password for all:   sound-of-orrin

The outside world: Lanternpage http://127.0.0.1:${world.standins}, Wherabout http://127.0.0.1:${world.standins + 1}, press http://127.0.0.1:${world.standins + 2},
Skimmer http://127.0.0.1:${world.standins + 3}, Framelet http://127.0.0.1:${world.standins + 4}, Reelbarn http://127.0.0.1:${world.standins + 5}, Talkstead http://127.0.0.1:${world.standins + 6}, 
Fivefold http://127.0.0.1:${world.standins + 9}, Textmast http://127.0.0.1:${world.standins + 10}, mail http://127.0.0.1:${world.standins + 7},
the ferry company’s own site http://127.0.0.1:${world.standins + 12}
${paceAsked() === null ? 'Write there as a customer, and see it arrive here.' : `People go on writing there, ${paceAsked()} times a minute.`} Ctrl-C stops everything.`)
const ended = await world.exited
if (!stopping) {
  console.error(`\nThe ${ended} ended by itself; see ${world.logFolder}.`)
  await stop(1)
}
