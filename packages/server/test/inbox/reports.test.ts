import { startReviewSite, demoClient, type ReviewSite } from '@murrabel/standins'
import { afterAll, beforeAll, expect, test } from 'vitest'
import type { EntryPage, Problem, ThreadAnswer, ThreadEntry } from '@murrabel/contract'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'

let world: TestWorld
let fivefold: ReviewSite
let call: Caller
let threadId = 0
const key = () => crypto.randomUUID()
const entry = async (): Promise<ThreadEntry> =>
  (await call<ThreadAnswer>('GET', `/api/threads/${threadId}`)).body.entries[0]!

beforeAll(async () => {
  world = await startTestWorld()
  fivefold = await startReviewSite('fivefold')
  fivefold.state.add({
    op: 'business',
    id: 'skerrivane-ferries',
    name: 'Skerrivane Ferries',
    street: '1',
    town: 'Port Ellery',
    phone: '',
  })
  fivefold.state.add({
    op: 'review',
    id: 'f1',
    business: 'skerrivane-ferries',
    author: { id: 'x', name: 'Nobody' },
    title: 'Sank with all hands',
    text: 'The boat sank and nobody cared',
    rating: 1,
    created: new Date().toISOString(),
  })
  world.config.networks.push({
    network: 'fivefold',
    name: 'Fivefold',
    channel: 'reviews',
    address: fivefold.address,
    ...demoClient,
  })
  call = await world.signIn('wynn')
  await world.connect(call, 'fivefold')
  await settled(world)
  threadId = (await call<EntryPage>('GET', '/api/entries?unit=threads&channel=reviews')).body.rows[0]!
    .threadId
}, 150_000)
afterAll(async () => {
  await world.stop()
  await fivefold.close()
})

test('a titled review comes in as one, and can be reported', async () => {
  expect(await entry()).toMatchObject({
    title: 'Sank with all hands',
    rating: 1,
    reportable: true,
    report: null,
  })
})

test('reported once, although the network’s word is lost; what it removes is erased here', async () => {
  const { id } = await entry()
  fivefold.board.faults.lostAnswers = 1
  const draft = { reason: 'fake', text: 'No boat of ours ever sank', key: key() }
  for (let i = 0; i < 2; i++)
    expect((await call('POST', `/api/entries/${id}/report`, draft)).status).toBe(204)
  await until(async () => (await entry()).report?.state === 'sent', { seconds: 60 })
  expect(fivefold.state.reports).toMatchObject([
    { item: 'f1', reason: 'fake', text: 'No boat of ours ever sank' },
  ])
  expect(
    (await call<Problem>('POST', `/api/entries/${id}/report`, { reason: 'dull', key: key() })).body.code,
  ).toBe('invalid')
  fivefold.change({ op: 'deletion', id: 'f1', at: new Date().toISOString() })
  await until(async () => (await entry()).deletedAt !== null)
  expect(await entry()).toMatchObject({ text: '', title: null, reportable: false })
})

test('elsewhere nothing is reported, and a reader reports nothing', async () => {
  world.lanternpage.state.add({ op: 'page', id: 'skerrivane', name: 'Skerrivane Ferries' })
  world.lanternpage.state.add({
    op: 'note',
    id: 'n1',
    page: 'skerrivane',
    author: { id: 'a', name: 'Ada', handle: 'ada' },
    content: 'Hello',
    published: new Date().toISOString(),
    conversation: 'c1',
  })
  await world.connect(call, 'lanternpage')
  await settled(world)
  const row = (await call<EntryPage>('GET', '/api/entries?unit=entries&channel=pages')).body.rows[0]!
  const report = (who: Caller) =>
    who<Problem>('POST', `/api/entries/${row.id}/report`, { reason: 'fake', key: key() })
  expect((await report(call)).body.code).toBe('reportNotPossible')
  expect((await report(await world.signIn('rowan'))).status).toBe(403)
})
