import {
  demoAspects,
  demoBrand,
  demoFollowUps,
  demoGroups,
  demoNotes,
  demoPassword,
  demoWatches,
} from './brand.ts'
import { kayakBrand, kayakTable } from './kayaks.ts'
import { mailAddress } from './mails.ts'
import { feeds } from './press.ts'
import { demoRivals } from './rivals.ts'
import { fillReplies } from './replies.ts'
import { fillHooks, fillTeams, fillTriage } from './team.ts'

/**
 * Fills a running Murrabel as its owner would: signs in, connects the profiles by OAuth with consent given on the
 * networks' own pages, adds the feeds, saves the watches, and waits until the history is in. Started again, it does what
 * is missing.
 */
const address = process.env.MURRABEL_ADDRESS ?? 'http://localhost:4600'
const firstPort = Number(process.env.STANDINS_PORT ?? 4700)
const [lanternpageAddress, wheraboutAddress, pressAddress] = [0, 1, 2].map(
  (i) => `http://127.0.0.1:${firstPort + i}`,
)
let cookie = ''

async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
  const answer = await fetch(`${address}${path}`, {
    method,
    headers: {
      origin: address,
      cookie,
      ...(body === undefined
        ? {}
        : { 'content-type': typeof body === 'string' ? 'text/plain' : 'application/json' }),
    },
    // A file goes as it is.
    body: body === undefined || typeof body === 'string' ? body : JSON.stringify(body),
  })
  const set = answer.headers.get('set-cookie')
  if (set) cookie = set.split(';')[0]!
  if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`)
  return (answer.status === 204 ? undefined : await answer.json()) as T
}

/** Gives consent on a network's page, for everything it offers, and goes the way back. */
async function connect(network: string): Promise<void> {
  const { redirect } = await call<{ redirect: string }>('POST', '/api/profiles/connect', { network })
  const page = await (await fetch(redirect)).text()
  const fields = [...page.matchAll(/<input type="(?:hidden|checkbox)" name="([^"]+)" value="([^"]*)"/g)].map(
    ([, name, value]) => [name!, value!.replace(/&amp;/g, '&')] as [string, string],
  )
  const granted = await fetch(redirect, {
    method: 'POST',
    body: new URLSearchParams([...fields, ['answer', 'grant']]),
    redirect: 'manual',
  })
  const back = await fetch(granted.headers.get('location') ?? '', { headers: { cookie }, redirect: 'manual' })
  const landed = back.headers.get('location') ?? ''
  if (landed.includes('problem=')) throw new Error(`connecting ${network} ended at ${landed}`)
}

interface ProfileState {
  network: string
  url: string | null
  status: string
  historyDone: number
  historyTotal: number | null
  capabilities: { search: boolean }
}

const owner = demoBrand.colleagues.find((c) => c.role === 'owner')!
await call('POST', '/api/session', { email: owner.email, password: demoPassword })
const before = await call<ProfileState[]>('GET', '/api/profiles')
const openNetworks = ['skimmer', 'framelet', 'reelbarn', 'talkstead']
for (const network of ['lanternpage', 'wherabout', 'fivefold', 'textmast', ...openNetworks])
  if (!before.some((p) => p.network === network && !p.capabilities.search)) await connect(network)
for (const network of openNetworks)
  if (!before.some((p) => p.network === network && p.capabilities.search))
    await call('POST', '/api/profiles/searches', { network })
if (!before.some((p) => p.network === 'email')) {
  const server = { host: '127.0.0.1', secure: false, user: mailAddress, password: demoPassword }
  await call('POST', '/api/profiles/email', {
    address: mailAddress,
    name: demoBrand.name,
    imap: { ...server, port: firstPort + 11 },
    smtp: { ...server, port: firstPort + 8 },
  })
}
const siteAddress = `http://127.0.0.1:${firstPort + 12}`
if (!before.some((p) => p.network === 'chat')) {
  const mailProfile = (await call<(ProfileState & { id: number })[]>('GET', '/api/profiles')).find(
    (p) => p.network === 'email',
  )!
  const chat = await call<{ profileId: number; tag: string }>('POST', '/api/profiles/chats', {
    name: 'Chat on our site',
    origins: [siteAddress],
    answerWithin: 5,
    mailProfileId: mailProfile.id,
  })
  // As the keeper of the site would: the line goes into every page, and what was said before comes along.
  await fetch(`${siteAddress}/keeper`, {
    method: 'POST',
    body: new URLSearchParams({ html: chat.tag }),
    redirect: 'manual',
  })
  const conversations = await (await fetch(`${siteAddress}/keeper/conversations.json`)).text()
  const draft = await call<{ id: number }>(
    'POST',
    '/api/imports?kind=chat&name=Conversations+of+the+old+chat',
    conversations,
  )
  await call('POST', `/api/imports/${draft.id}/start`, { profileId: chat.profileId })
}
/** Customers of the booking system come as the table that it writes. */
const imports = await call<{ kind: string }[]>('GET', '/api/imports')
if (!imports.some(({ kind }) => kind === 'customers')) {
  const table = await (await fetch(`${siteAddress}/keeper/customers.csv`)).text()
  const { id, customers } = await call<{ id: number; customers: { mapping: object } }>(
    'POST',
    '/api/imports?kind=customers&name=Bookings+of+the+year.csv',
    table,
  )
  await call('POST', `/api/imports/${id}/start`, { customers: customers.mapping })
}
for (const { id, title } of feeds) {
  const feed = `${pressAddress}/${id}/feed`
  if (!before.some((p) => p.url === feed))
    await call('POST', '/api/profiles/feeds', { address: feed, name: title })
}
const groupIds = new Map(
  (await call<{ id: number; name: string }[]>('GET', '/api/groups')).map(({ id, name }) => [name, id]),
)
for (const { name, kind, parent } of demoGroups)
  if (!groupIds.has(name)) {
    const parentId = parent === undefined ? null : groupIds.get(parent)
    groupIds.set(name, (await call<{ id: number }>('POST', '/api/groups', { name, kind, parentId })).id)
  }
const watches = await call<{ id: number; name: string }[]>('GET', '/api/watches')
for (const { name, group, query } of demoWatches)
  if (!watches.some((w) => w.name === name))
    watches.push(await call('POST', '/api/watches', { name, query, groupId: groupIds.get(group) }))
const known = await call<{ sides: { profiles: { url: string }[] }[] }>('GET', '/api/watches/rivals')
const addresses = new Set(known.sides.flatMap((side) => side.profiles.map(({ url }) => url)))
for (const { id, name } of demoRivals) {
  const watchId = watches.find((watch) => name.endsWith(watch.name))?.id
  for (const page of [`${lanternpageAddress}/pages/${id}`, `${wheraboutAddress}/businesses/${id}`])
    if (!addresses.has(page)) await call('POST', '/api/public-profiles', { address: page, watchId })
}
const teaching = await call<{ aspects: unknown[] }>('GET', '/api/teaching')
if (!teaching.aspects.length) await call('PUT', '/api/teaching/aspects', { aspects: demoAspects })

/** Says how far it is, when that has changed. */
let told = ''
function tell(line: string): void {
  if (line !== told && before.length === 0) console.log(line)
  told = line
}
const pause = () => new Promise((resolve) => setTimeout(resolve, 500))

for (;;) {
  const profiles = await call<ProfileState[]>('GET', '/api/profiles')
  const done = profiles.reduce((sum, p) => sum + p.historyDone, 0)
  // Feeds and searches do not say beforehand how much they hold.
  const total = profiles.reduce((sum, p) => sum + Math.max(p.historyTotal ?? 0, p.historyDone), 0)
  tell(`Collecting through the connectors: ${done} of ${total} entries`)
  if (!profiles.some((p) => p.status === 'collecting')) break
  await pause()
}
/** The brand's entries are read and its watches filled when nobody has such work left. */
interface Health {
  work: { kind: string; due: number; running: number }[]
}
for (;;) {
  const { work } = (await (await fetch(`${address}/health`)).json()) as Health
  const reading = ['import', 'analyse', 'watchHistory', 'reread', 'meet']
  if (!work.some(({ kind, due, running }) => reading.includes(kind) && due + running > 0)) break
  tell('Reading what was collected')
  await pause()
}

/** Those who write most, as the list of people has them. */
interface Regular {
  id: number
  networks: string[]
  standing: string | null
}
const { rows: regulars } = await call<{ rows: Regular[] }>('GET', '/api/people?time=last-28')
if (!regulars.some(({ standing }) => standing)) {
  const [press, others] = [true, false].map((feed) =>
    regulars.filter(({ networks }) => networks.includes('feed') === feed),
  )
  for (const [i, note] of demoNotes.entries())
    if (others![i]) await call('PUT', `/api/people/${others![i].id}`, note)
  if (press![0]) await call('PUT', `/api/people/${press![0].id}`, { standing: 'press' })
}

await fillHooks(call, siteAddress)
await fillReplies(call)
const { total: followUps } = await call<{ total: number }>('GET', '/api/follow-ups?limit=1')
if (!followUps) {
  const { me } = await call<{ me: { id: number } }>('GET', '/api/brand')
  const { rows } = await call<{ rows: { threadId: number }[] }>(
    'GET',
    '/api/entries?unit=threads&state=open&origin=sent&order=pressing&limit=12',
  )
  for (const [i, { hours, ...followUp }] of demoFollowUps.entries()) {
    const thread = rows[i * 3]?.threadId
    const dueAt = new Date(Date.now() + hours * 3_600_000).toISOString()
    if (thread)
      await call('POST', `/api/threads/${thread}/follow-ups`, { ...followUp, dueAt, givenTo: me.id })
  }
}

await fillTeams(call, Date.now())
await fillTriage(call)

/** The second brand has what its review page wrote; its owner brings it in. */
await call('DELETE', '/api/session')
cookie = ''
await call('POST', '/api/session', { email: kayakBrand.colleagues[0]!.email, password: demoPassword })
const kayakImports = await call<{ kind: string }[]>('GET', '/api/imports')
if (!kayakImports.length) {
  const table = kayakTable({ seed: 7, end: Date.now(), count: 600 })
  const { id, reviews } = await call<{ id: number; reviews: { mapping: object } }>(
    'POST',
    '/api/imports?kind=reviews&name=Reviews+of+the+year.csv',
    table,
  )
  await call('POST', `/api/imports/${id}/start`, { mapping: reviews.mapping })
  const own = [
    { name: 'Own name', query: { anyOf: [{ text: 'kayak' }, { text: 'paddle' }] } },
    {
      name: 'Guides',
      query: { anyOf: kayakBrand.colleagues.slice(0, 2).map(({ name }) => ({ text: name.split(' ')[0]! })) },
    },
  ]
  for (const watch of own) await call('POST', '/api/watches', watch)
  for (;;) {
    const { work } = (await (await fetch(`${address}/health`)).json()) as Health
    if (
      !work.some(
        ({ kind, due, running }) => ['import', 'analyse', 'meet'].includes(kind) && due + running > 0,
      )
    )
      break
    await pause()
  }
}
