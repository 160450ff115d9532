import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type {
  PatternAnswer,
  PatternDraft,
  Problem,
  ReplyStarts,
  SignOffAnswer,
  ThreadAnswer,
  ThreadChangeAnswer,
} from '@murrabel/contract'
import { key, startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { until } from '../support/until.ts'
import { settled, type Caller } from '../support/world.ts'

let world: ConnectedWorld
let call: Caller

beforeAll(async () => {
  world = await startConnectedWorld()
  call = world.specialist
}, 150_000)
afterAll(() => world.stop())

/** Somebody writes in private; a name writes on in their own thread. */
async function message(name: string, content: string): Promise<ThreadAnswer> {
  await fetch(`${world.lanternpage.address}/pages/skerrivane/messages`, {
    method: 'POST',
    body: new URLSearchParams({ name, content }),
    redirect: 'manual',
  })
  const id = await until(
    async () =>
      (
        await world.server.context.db.one<{ id: number }>(
          'SELECT thread_id AS id FROM entries WHERE text = $1 AND search IS NOT NULL',
          [content],
        )
      )?.id,
  )
  await settled(world)
  return thread(id)
}
const thread = async (id: number) => (await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body
const actionOf = async (id: number) => (await thread(id)).entries.find((entry) => entry.action)?.action
const inState = (id: number, wanted: string) =>
  until(async () => ((await actionOf(id))?.state === wanted ? actionOf(id) : undefined))
const reply = ({ id, edition }: ThreadAnswer, more: object = {}) =>
  call<ThreadChangeAnswer & Problem>('POST', `/api/threads/${id}/replies`, {
    text: 'An answer',
    key: key(),
    edition,
    ...more,
  })
const published = (text: string) =>
  world.lanternpage.state.notesOf('skerrivane').filter(({ content }) => content === text)
const patterns = async () => (await call<PatternAnswer[]>('GET', '/api/patterns')).body
const keep = (draft: PatternDraft) => call<PatternAnswer & Problem>('POST', '/api/patterns', draft)
const en = (text: string) => [{ language: 'en', text }]

describe('patterns', () => {
  test('are kept with a text for each language, changed, and removed', async () => {
    const { status, body } = await keep({
      name: 'Refund on its way',
      folder: 'Money',
      texts: [
        ...en('Dear {name|guest}, it is on its way.'),
        { language: 'fr', text: 'Bonjour {name|}, il arrive.' },
      ],
    })
    expect(status).toBe(200)
    expect(body).toMatchObject({ by: 'Tamsin Kerr', folder: 'Money', use: { sent: 0, lastUsedAt: null } })
    const changed = await call<PatternAnswer>('PUT', `/api/patterns/${body.id}`, {
      edition: body.edition,
      name: 'Refund sent',
      texts: en('Dear {name|guest}, it was sent.'),
    })
    expect(changed.body).toMatchObject({ name: 'Refund sent', folder: '', edition: 2 })
    expect(changed.body.texts).toHaveLength(1)
    const late = await call<Problem>('PUT', `/api/patterns/${body.id}`, {
      edition: body.edition,
      name: 'Mine',
      texts: en('x'),
    })
    expect(late).toMatchObject({ status: 409, body: { code: 'changedMeanwhile' } })
    expect((await call('DELETE', `/api/patterns/${body.id}`)).status).toBe(204)
    expect(await patterns()).toEqual([])
  })

  test.each([
    ['Dear {nmae|x}', 'patternSlot'],
    ['Dear {name}', 'patternFallback'],
    ['Dear {name|x', 'patternUnclosed'],
    ['{pattern: Nowhere}', 'patternUnknown'],
    ['{pattern: It}', 'patternLoop'],
  ])('%s is refused', async (text, code) => {
    const { status, body } = await keep({ name: 'It', texts: [...en('fine'), { language: 'de', text }] })
    expect(status).toBe(422)
    expect(body.fields).toMatchObject([{ field: 'texts[1].text', code }])
    expect(await patterns()).toEqual([])
  })

  test('take each other in, keep doing so under a new name, never in a ring', async () => {
    const hours = (await keep({ name: 'Opening hours', texts: en('Daily from six.') })).body
    const close = (await keep({ name: 'Close', texts: en('{pattern: Opening hours} See you.') })).body
    expect(await keep({ name: 'opening  HOURS', texts: en('x') })).toMatchObject({
      body: { code: 'patternName' },
    })
    const ring = await call<Problem>('PUT', `/api/patterns/${hours.id}`, {
      name: 'Opening hours',
      texts: en('{pattern: close}'),
    })
    expect(ring.body.fields).toMatchObject([{ code: 'patternLoop' }])
    const removed = await call<Problem>('DELETE', `/api/patterns/${hours.id}`)
    expect(removed).toMatchObject({
      status: 409,
      body: { code: 'patternTaken', fields: [{ values: { names: 'Close' } }] },
    })
    await call('PUT', `/api/patterns/${hours.id}`, {
      name: 'When we are there',
      texts: en('Daily from six.'),
    })
    expect((await patterns()).find(({ id }) => id === close.id)!.texts).toEqual(
      en('{pattern: When we are there} See you.'),
    )
    // Two that would close a ring together, at the same moment.
    const [a, b] = await Promise.all(
      ['A', 'B'].map(async (name) => (await keep({ name, texts: en(name) })).body),
    )
    const both = await Promise.all([
      call('PUT', `/api/patterns/${a!.id}`, { name: 'A', texts: en('{pattern: B}') }),
      call('PUT', `/api/patterns/${b!.id}`, { name: 'B', texts: en('{pattern: A}') }),
    ])
    expect(both.map(({ status }) => status).sort()).toEqual([200, 422])
  })

  test('tell how often they were used and what followed, of what one may see', async () => {
    const { id } = (await keep({ name: 'Thanks for asking', texts: en('Yes, you may.') })).body
    const said = [
      ['Corin Vail', 'Wonderful, thank you so much, you are the best!'],
      ['Dagny Holt', 'This is terrible, nobody helps and I am very angry.'],
      ['Emrys Tallow', null],
    ] as const
    for (const [name, again] of said) {
      const asked = await message(name, `May I bring my cello aboard? ${name}`)
      await reply(asked, { text: `Yes, you may, ${name}.`, pattern: id })
      await inState(asked.id, 'sent')
      if (again) await message(name, again)
    }
    const use = async (who: Caller) =>
      (await who<PatternAnswer[]>('GET', '/api/patterns')).body.find((each) => each.id === id)!.use
    expect(await use(call)).toMatchObject({ sent: 3, wroteAgain: 2, praised: 1, complained: 1 })
    expect((await use(call)).lastUsedAt).not.toBeNull()
    // Ness sees Dunmarrow alone, and none of these was said there.
    expect(await use(await world.signIn('ness'))).toMatchObject({ sent: 0, wroteAgain: 0 })
  })
})

describe('sign-offs', () => {
  test('stand under what is sent, are remembered, and end with whoever they are of', async () => {
    const rowan = (await world.server.context.db.one<{ id: number }>(
      `SELECT id FROM colleagues WHERE email LIKE 'rowan%'`,
    ))!.id
    const own = (
      await call<SignOffAnswer>('POST', '/api/sign-offs', { text: 'Rowan, the quay', whose: rowan })
    ).body
    const all = (await call<SignOffAnswer>('POST', '/api/sign-offs', { text: 'Passenger care' })).body
    expect(own).toMatchObject({ whose: { name: 'Rowan Teague' }, left: false })
    const asked = await message('Perrin Oakes', 'Where may I leave my sledge?')
    expect((await reply(asked, { text: 'By the gate.', signOff: all.id })).status).toBe(200)
    await inState(asked.id, 'sent')
    expect(published('By the gate.\n\nPassenger care')).toHaveLength(1)
    const last = async (who: Caller) =>
      (await who<SignOffAnswer[]>('GET', '/api/sign-offs')).body
        .filter((each) => each.last)
        .map(({ id }) => id)
    expect([await last(call), await last(world.owner)]).toEqual([[all.id], []])
    await world.server.context.db.rows('DELETE FROM memberships WHERE colleague_id = $1', [rowan])
    const again = await reply(await thread(asked.id), { text: 'And the skates?', signOff: own.id })
    expect(again).toMatchObject({ status: 409, body: { code: 'signOffGone' } })
    expect(
      (await call<SignOffAnswer[]>('GET', '/api/sign-offs')).body.find(({ id }) => id === own.id)!.left,
    ).toBe(true)
    expect(
      (await call<Problem>('POST', '/api/sign-offs', { text: 'x', whose: rowan })).body.fields,
    ).toMatchObject([{ field: 'whose', code: 'noColleague' }])
    expect((await call('DELETE', `/api/sign-offs/${own.id}`)).status).toBe(204)
    const gone = await reply(await thread(asked.id), { text: 'And the skates?', signOff: own.id })
    expect(gone).toMatchObject({ status: 409, body: { code: 'signOffGone' } })
  })
})

describe('an answer for later', () => {
  const inAnHour = () => new Date(Date.now() + 3_600_000).toISOString()
  const soon = () => new Date(Date.now() + 1500).toISOString()

  test('goes out at its time, and was said then', async () => {
    const asked = await message('Hester Quill', 'When does the ramp open?')
    await reply(asked, { text: 'At nine, Hester.', sendAt: soon(), finish: true })
    expect(await actionOf(asked.id)).toMatchObject({ state: 'waiting', sendAt: expect.any(String) })
    expect(await thread(asked.id)).toMatchObject({ state: 'done' })
    expect(published('At nine, Hester.')).toHaveLength(0)
    const { sendAt } = (await inState(asked.id, 'sent'))!
    expect(published('At nine, Hester.')).toHaveLength(1)
    const entry = (await thread(asked.id)).entries.find(({ action }) => action)!
    expect(Date.parse(entry.at)).toBeGreaterThanOrEqual(Date.parse(sendAt!))
  })

  test('was said then, too, where the network shows it before it says that it took it', async () => {
    const asked = await message('Corin Hale', 'When does the ramp close?')
    world.lanternpage.board.faults.lostAnswers = 2
    await reply(asked, { text: 'At ten, Corin.', sendAt: soon() })
    const { sendAt } = (await inState(asked.id, 'sent'))!
    const entry = (await thread(asked.id)).entries.find(({ action }) => action)!
    expect(Date.parse(entry.at)).toBeGreaterThanOrEqual(Date.parse(sendAt!))
    world.lanternpage.board.faults.lostAnswers = 0
  })

  test('is held when they write again, until somebody decides', async () => {
    const asked = await message('Anselm Rook', 'Is the 8:20 sailing?')
    await reply(asked, { text: 'It is, Anselm.', sendAt: inAnHour() })
    await message('Anselm Rook', 'Never mind, I walk.')
    // Its time comes.
    await world.server.context.db.rows(`UPDATE outside_actions SET send_at = now() WHERE thread_id = $1`, [
      asked.id,
    ])
    const { id } = (await actionOf(asked.id))!
    await world.server.context.db.rows(
      `UPDATE due_work SET next_at = now() WHERE kind = 'act' AND subject = $1`,
      [String(id)],
    )
    expect(await inState(asked.id, 'failed')).toMatchObject({ error: expect.stringContaining('held') })
    expect(await thread(asked.id)).toMatchObject({ state: 'open' })
    expect(published('It is, Anselm.')).toHaveLength(0)
    await call('POST', `/api/actions/${id}/retry`)
    await inState(asked.id, 'sent')
    expect(published('It is, Anselm.')).toHaveLength(1)
  })

  test('goes at once when somebody says so, and not before its time for anything else', async () => {
    const asked = await message('Bastian Feld', 'Do you take groups of forty?')
    await reply(asked, { text: 'We do, Bastian.', sendAt: inAnHour() })
    const { id } = (await actionOf(asked.id))!
    await world.server.context.db.rows(
      `UPDATE due_work SET next_at = now() WHERE kind = 'act' AND subject = $1`,
      [String(id)],
    )
    await until(async () =>
      world.server.context.db.one(
        `SELECT 1 FROM due_work WHERE kind = 'act' AND subject = $1 AND next_at > now() + interval '50 minutes'`,
        [String(id)],
      ),
    )
    expect(published('We do, Bastian.')).toHaveLength(0)
    await call('POST', `/api/actions/${id}/retry`)
    await inState(asked.id, 'sent')
    expect(published('We do, Bastian.')).toHaveLength(1)
  })

  test('is called back like any that waits', async () => {
    const asked = await message('Odile Marchetaux', 'Où est le quai ?')
    await reply(asked, { text: 'Au nord, Odile.', sendAt: inAnHour(), finish: true })
    const { id } = (await actionOf(asked.id))!
    expect((await call('POST', `/api/actions/${id}/cancel`, {})).status).toBe(204)
    expect(await thread(asked.id)).toMatchObject({ state: 'open' })
  })

  test.each([
    [-3_600_000, 'sendAtPast'],
    [91 * 86_400_000, 'sendAtPast'],
  ])('not %i ms from now', async (ms, code) => {
    const asked = await message('Perrin Oakes', `And what of ${ms}?`)
    const { status, body } = await reply(asked, { sendAt: new Date(Date.now() + ms).toISOString() })
    expect([status, body.code]).toEqual([422, code])
    expect((await reply(asked, { sendAt: 'tomorrow' })).body.fields).toMatchObject([{ field: 'sendAt' }])
  })
})

describe('what an answer can begin with', () => {
  const starts = async (id: number, who = call) =>
    (await who<ReplyStarts>('GET', `/api/threads/${id}/starts`)).body

  test('is what is known, and how the nearest were answered', async () => {
    const first = await message('Dagny Holt', 'May our two greyhounds travel in the quiet lounge in winter?')
    await reply(first, { text: 'Hello Dagny, greyhounds travel in the aft lounge; bring a blanket.' })
    await inState(first.id, 'sent')
    await message('Dagny Holt', 'Lovely, thank you!')
    const now = await message('Corin Vail', 'Can my greyhound be with me in the lounge?')
    const { known, nearest, lookedAt } = await starts(now.id)
    expect(known).toMatchObject({ name: 'Corin Vail', colleague: 'Tamsin Kerr', visit: null })
    expect(nearest[0]).toMatchObject({
      threadId: first.id,
      author: 'Dagny Holt',
      answer: 'Hello Dagny, greyhounds travel in the aft lounge; bring a blanket.',
      by: 'Tamsin Kerr',
      after: 'praised',
      times: 1,
    })
    expect(nearest[0]!.shared).toContain('greyhou')
    expect(lookedAt).toBeGreaterThan(0)
    // Nothing that was said in a thread that one may not see.
    const ness = await world.signIn('ness')
    expect((await ness('GET', `/api/threads/${now.id}/starts`)).status).toBe(404)
  })

  test('is nothing where nothing is near, and nothing where nothing was said', async () => {
    const odd = await message('Emrys Tallow', 'Xylophone zeppelin quince?')
    expect((await starts(odd.id)).nearest).toEqual([])
    const bare = await message('Emrys Tallow', '👍')
    expect((await starts(bare.id)).nearest).toEqual([])
  })
})
