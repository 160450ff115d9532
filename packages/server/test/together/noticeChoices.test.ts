import { afterAll, beforeAll, expect, test } from 'vitest'
import type { NoticeAnswer, NoticeChoices, Problem, Team } from '@murrabel/contract'
import { noticeLetter } from '../../src/services/together/index.ts'
import { startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'

let world: TestWorld
let wynn: Caller
let tamsin: Caller
let threads: number[]
let me: number
const none: NoticeChoices = { silent: [], desktop: [], mail: [], quiet: null }

beforeAll(async () => {
  world = await startTestWorld()
  ;[wynn, tamsin] = (await Promise.all((['wynn', 'tamsin'] as const).map((who) => world.signIn(who)))) as [
    Caller,
    Caller,
  ]
  const { db } = world.server.context
  await db.rows(
    `INSERT INTO profiles (id, brand_id, channel, network, outside_id, name, status, hook_token)
     VALUES (900, 1, 'photos', 'framelet', 'x', 'x', 'connected', 'x')`,
  )
  threads = (
    await db.rows<{ id: number }>(
      `INSERT INTO threads (brand_id, profile_id, outside_id, state)
       SELECT 1, 900, 't' || n, 'open' FROM generate_series(1, 8) n RETURNING id`,
    )
  ).map(({ id }) => id)
  me = (await tamsin<{ me: { id: number } }>('GET', '/api/brand')).body.me.id
}, 150_000)
afterAll(() => world.stop())

const choose = (choices: Partial<NoticeChoices>) =>
  tamsin<NoticeChoices & Problem>('PUT', '/api/notices/choices', { ...none, ...choices })
const give = (thread: number, to: number | null, team: number | null = null) =>
  wynn('PUT', `/api/threads/${thread}/given`, { to, team })
const note = (thread: number, text: string) =>
  wynn('POST', `/api/threads/${thread}/notes`, { text, mentions: [me] })
const mails = () => world.mailroom.mails.filter(({ text }) => text.includes('To choose what comes by mail'))
const due = () =>
  world.server.context.db.one<{ nextAt: Date }>(
    `SELECT next_at AS "nextAt" FROM due_work WHERE kind = 'noticeMail'`,
  )
/** Its time has come. */
async function itIsTime(): Promise<void> {
  await world.server.context.db.rows(`UPDATE due_work SET next_at = now() WHERE kind = 'noticeMail'`)
  await until(async () => !(await due()))
}

test('whoever chose nothing hears everything in the bell, and nothing else', async () => {
  expect((await tamsin<NoticeChoices>('GET', '/api/notices/choices')).body).toEqual(none)
  await give(threads[0]!, me)
  expect((await tamsin<NoticeAnswer[]>('GET', '/api/notices')).body).toHaveLength(1)
  expect(await due()).toBeUndefined()
  await tamsin('PUT', '/api/notices/seen', { thread: threads[0] })
})

test('by mail comes what was not seen, all in one, once', async () => {
  await choose({ mail: ['given', 'mention'] })
  await give(threads[1]!, me)
  await note(threads[2]!, 'Can you call the pier?\nIt is urgent.')
  await note(threads[3]!, 'This one was seen.')
  // A little later, so that what is seen at once is not mailed as well.
  expect((await due())!.nextAt.getTime()).toBeGreaterThan(Date.now() + 60_000)
  await tamsin('PUT', '/api/notices/seen', { thread: threads[3] })
  await itIsTime()
  const [mail] = await until(() => (mails().length ? mails() : null))
  expect(mail!.subject).toBe('Skerrivane Ferries: Wynn Adair assigned you a thread, and 1 more')
  expect(mail!.text).toContain(`/inbox/${threads[1]}?`)
  expect(mail!.text).toContain('Wynn Adair names you in a note on a thread')
  expect(mail!.text).toContain('“Can you call the pier? It is urgent.”')
  expect(mail!.text).not.toContain('This one was seen')
  // Nothing is told twice over.
  await note(threads[4]!, 'And the gate.')
  await itIsTime()
  const two = await until(() => (mails().length === 2 ? mails() : null))
  expect(two[1]!.text).toContain('And the gate.')
  expect(two[1]!.text).not.toContain('call the pier')
})

test('what was not chosen is not mailed; what the bell leaves out is mailed all the same', async () => {
  await choose({ mail: ['mention'], silent: ['mention'] })
  await give(threads[5]!, me)
  expect(await due()).toBeUndefined()
  await note(threads[5]!, 'Only by mail.')
  const bell = (await tamsin<NoticeAnswer[]>('GET', '/api/notices')).body
  expect(bell.some(({ kind }) => kind === 'mention')).toBe(false)
  expect(bell.some(({ kind }) => kind === 'given')).toBe(true)
  const before = mails().length
  await itIsTime()
  const [mail] = await until(() => (mails().length > before ? mails().slice(before) : null))
  expect(mail!.text).toContain('Only by mail.')
})

test('in a quiet time nothing is mailed before it is over', async () => {
  const at = (ms: number) =>
    new Intl.DateTimeFormat('en-GB', {
      timeZone: 'Europe/London',
      hour: '2-digit',
      minute: '2-digit',
    }).format(ms)
  const hour = 3_600_000
  await choose({ mail: ['mention'], quiet: { from: at(Date.now() - hour), until: at(Date.now() + hour) } })
  const before = mails().length
  await note(threads[6]!, 'In the night.')
  expect((await due())!.nextAt.getTime()).toBeGreaterThan(Date.now() + 50 * 60_000)
  // Also when it was due before the quiet time was chosen.
  await world.server.context.db.rows(`UPDATE due_work SET next_at = now() WHERE kind = 'noticeMail'`)
  await until(async () => (await due())!.nextAt.getTime() > Date.now() + 50 * 60_000)
  expect(mails()).toHaveLength(before)
  await choose({ mail: ['mention'] })
  await itIsTime()
  await until(() => mails().length === before + 1)
})

test('a team hears of its thread until somebody takes it', async () => {
  await choose({})
  const team = (await wynn<Team>('POST', '/api/set-up/teams', { name: 'Guest care', members: [me] })).body
  await give(threads[7]!, null, team.id)
  const heard = async () =>
    (await tamsin<NoticeAnswer[]>('GET', '/api/notices')).body.filter(({ thread }) => thread === threads[7])
  expect(await heard()).toMatchObject([{ kind: 'givenTeam', seen: false }])
  await give(threads[7]!, (await wynn<{ me: { id: number } }>('GET', '/api/brand')).body.me.id)
  expect(await heard()).toEqual([])
})

test.each([
  [{ mail: ['everything'] }, 'mail[0]'],
  [{ quiet: { from: '25:00', until: '07:00' } }, 'quiet.from'],
  [{ quiet: { from: '22:00' } }, 'quiet.until'],
])('%j is refused', async (choices, field) => {
  const { status, body } = await choose(choices as object)
  expect([status, body.fields?.[0]?.field]).toEqual([422, field])
})

test('a letter of one says what it is about in its subject', () => {
  const letter = noticeLetter(
    { name: 'Tamsin Kerr', email: 't@x.example', brand: 'Skerrivane Ferries' },
    [{ id: 1, kind: 'notSent', thread: 4, author: 'Odile', text: null, by: null }],
    'http://localhost:1',
  )
  expect(letter.subject).toBe('Skerrivane Ferries: Your answer to Odile was not sent')
})
