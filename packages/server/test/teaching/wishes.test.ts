import { startTextmast, demoClient, type Textmast } from '@murrabel/standins'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type {
  CountAnswer,
  DoubtsAnswer,
  EntryPage,
  EntryRow,
  Problem,
  ReadingAnswer,
  TeachingAnswer,
  ThreadAnswer,
} from '@murrabel/contract'
import { learnFromCorrections } from '../../src/services/teaching/index.ts'
import { readAgain } from '../../src/services/analysis/index.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'
import { until } from '../support/until.ts'
import { things } from '../support/wording.ts'

let world: TestWorld
let textmast: Textmast
let call: Caller

const page = async (query: string): Promise<EntryRow[]> =>
  (await call<EntryPage>('GET', `/api/entries?channel=texts&limit=200&${query}`)).body.rows
/** That many have come in, and all of them have been read. */
async function read(count: number): Promise<void> {
  await until(async () => (await page('unit=entries')).length === count)
  await settled(world)
}
const rowOf = async (text: string): Promise<EntryRow> =>
  (await page('unit=entries')).find((row) => row.text === text)!
const thread = async (id: number) => (await call<ThreadAnswer>('GET', `/api/threads/${id}`)).body
const doubts = async (of: 'useful' | 'sample' = 'useful') =>
  (await call<DoubtsAnswer>('GET', `/api/teaching/doubts?of=${of}`)).body

const question = 'When does the last boat to Maillot leave on Sunday?'
const complaint = 'Your crew was rude to my mother and nobody said sorry.'
const praise = 'Thank you for a wonderful day, the crew was so kind!'
const fault = 'The ticket app crashes every time I press pay.'
const request = 'Please send me a copy of my receipt from last Tuesday.'

beforeAll(async () => {
  world = await startTestWorld()
  textmast = await startTextmast({ deliveryMs: 20 })
  textmast.state.add({ op: 'number', id: '+447700900100', name: 'Sound of Orrin line' })
  world.config.networks.push({
    network: 'textmast',
    name: 'Textmast',
    channel: 'texts',
    address: textmast.address,
    ...demoClient,
  })
  for (const [i, text] of [praise, question, complaint, fault, request].entries())
    textmast.text({ number: '+447700900100', from: `+44770090000${i}`, text })
  call = await world.signIn('wynn')
  await world.connect(call, 'textmast')
  await read(5)
}, 150_000)
afterAll(async () => {
  await world.stop()
  await textmast.close()
})

describe('what is wanted', () => {
  test('stands in the list and in the thread, with the words it rests on', async () => {
    const wishes = await Promise.all([praise, question, complaint, fault, request].map(rowOf))
    expect(wishes.map(({ wish }) => wish)).toEqual(['praise', 'question', 'complaint', 'fault', 'request'])
    const { entries } = await thread(wishes[1]!.threadId)
    const { wish, wantsAnswer, text } = entries[0]!
    expect(wish!.label).toBe('question')
    expect(wish!.confidence).toBeGreaterThan(0.5)
    expect(wantsAnswer).toBeGreaterThan(0.7)
    expect(wish!.spans.map(({ start, end }) => text.slice(start, end)).join(' ')).toMatch(/When|Sunday/)
  })

  test('narrows the lens, in the list and in its count', async () => {
    const asked = await page('unit=threads&wish=question,complaint')
    expect(asked.map(({ text }) => text).sort()).toEqual([complaint, question].sort())
    const { body } = await call<CountAnswer>('GET', '/api/entries/count?unit=threads&wish=question,complaint')
    expect(body.count).toBe(2)
    expect((await call<Problem>('GET', '/api/entries?wish=everything')).status).toBe(422)
  })

  test('a kind word stands last, is due last, and says why', async () => {
    const rows = await page('unit=threads&state=open&order=pressing')
    expect(rows.at(-1)!.text).toBe(praise)
    const due = (text: string) => Date.parse(rows.find((row) => row.text === text)!.dueAt!)
    for (const text of [question, complaint, fault, request]) expect(due(text)).toBeLessThan(due(praise))
    const { urgency } = await thread(rows.at(-1)!.threadId)
    expect(urgency!.parts.map(({ name }) => name)).toContain('kindWord')
    const { urgency: asked } = await thread((await rowOf(question)).threadId)
    expect(asked!.parts.map(({ name }) => name)).toContain('asked')
  })

  test('thanks after a question that waits do not push it back', async () => {
    textmast.text({
      number: '+447700900100',
      from: '+447700900001',
      text: 'Thank you so much, you are lovely!',
    })
    await read(6)
    const { threadId } = await rowOf(question)
    const { urgency } = await thread(threadId)
    expect(urgency!.parts.map(({ name }) => name)).toContain('asked')
    const rows = await page('unit=threads&state=open&order=pressing')
    expect(rows.at(-1)!.text).toBe(praise)
  })

  test('a history that was read before is read again, and equals what is read at once', async () => {
    const { db } = world.server.context
    const columns = 'id, sentiment, confidence, wish, wish_confidence, wants_answer, stars_differ, spans'
    const readings = () => db.rows(`SELECT ${columns} FROM entries WHERE direction = 'in' ORDER BY id`)
    const before = await readings()
    const dueBefore = await db.rows('SELECT id, due_at, pressing_at FROM threads ORDER BY id')
    await db.rows(
      `UPDATE entries SET wish = NULL, wish_confidence = NULL, wants_answer = NULL, sentiment = 'neutral', confidence = 0, spans = '[]'`,
    )
    const { brand_id: brandId } = (await db.one<{ brand_id: number }>(
      'SELECT brand_id FROM entries LIMIT 1',
    ))!
    const piece = { id: brandId, subject: `${brandId}/sentiment`, progress: null } as never
    await readAgain(world.server.context, piece)
    await until(async () => JSON.stringify(await readings()) === JSON.stringify(before), {
      instead: async () => ({
        work: await db.rows(
          `SELECT kind, subject, attempts, error, next_at, lease FROM due_work WHERE kind IN ('reread', 'learn', 'analyse')`,
        ),
        now: await readings(),
        before,
      }),
    })
    expect(await db.rows('SELECT id, due_at, pressing_at FROM threads ORDER BY id')).toEqual(dueBefore)
  })
})

describe('doubts', () => {
  test('are what is read with less confidence than the brand asks for: ring, lens and list agree', async () => {
    const saved = await call<DoubtsAnswer>('PUT', '/api/teaching/doubts', { below: 1 })
    expect(saved.body).toMatchObject({ below: 1, inDoubt: 6 })
    expect(saved.body.rows).toHaveLength(6)
    expect((await page('unit=entries')).every(({ doubt }) => doubt)).toBe(true)
    expect(await page('unit=entries&doubt=only')).toHaveLength(6)
    await call('PUT', '/api/teaching/doubts', { below: 0 })
    expect((await doubts()).rows).toEqual([])
    expect((await page('unit=entries')).some(({ doubt }) => doubt)).toBe(false)
    expect(await page('unit=entries&doubt=only')).toEqual([])
  })

  test.each([1.01, -0.1, 'often', null, undefined])('below %s is refused', async (below) => {
    expect((await call<Problem>('PUT', '/api/teaching/doubts', { below })).status).toBe(422)
  })

  test('what was shown and judged tells how reliable readings are; what was put right elsewhere does not', async () => {
    const rows = (await doubts('sample')).rows
    expect(rows.length).toBeGreaterThan(2)
    const [first, second, third] = rows as [
      (typeof rows)[number],
      (typeof rows)[number],
      (typeof rows)[number],
    ]
    const judge = (id: number, sentiment: string | null, shown?: boolean) =>
      call('PUT', `/api/entries/${id}/sentiment`, { sentiment, shown })
    const other = first.sentiment === 'positive' ? 'negative' : 'positive'
    await judge(first.id, other, true)
    await judge(second.id, second.sentiment, true)
    // Asked in the inbox, where whoever finds it right may say nothing: no picture of reliability.
    await call('PUT', `/api/entries/${third.id}/sentiment`, { sentiment: 'neutral', drawn: true })
    const { reliability, rows: left } = await doubts('sample')
    expect(reliability).toMatchObject({ n: 2, elsewhere: 1 })
    expect(reliability.bins.reduce((sum, { right }) => sum + right, 0)).toBe(1)
    expect(left.map(({ id }) => id)).not.toContain(first.id)
    const { db } = world.server.context
    expect(
      await db.rows(
        'SELECT entry_id::int AS id, shown, drawn FROM corrections WHERE entry_id = ANY($1::bigint[]) ORDER BY array_position($1::bigint[], entry_id)',
        [[first.id, second.id, third.id]],
      ),
    ).toEqual([
      { id: first.id, shown: true, drawn: false },
      { id: second.id, shown: true, drawn: false },
      { id: third.id, shown: false, drawn: true },
    ])
    for (const { id } of [first, second, third]) await judge(id, null)
    expect((await doubts('sample')).reliability).toMatchObject({ n: 0, elsewhere: 0 })
    await settled(world)
  })

  test('a colleague of one place is shown and judges only what belongs to it', async () => {
    const ness = await world.signIn('ness')
    await call('PUT', '/api/teaching/doubts', { below: 1 })
    const seen = await ness<DoubtsAnswer>('GET', '/api/teaching/doubts')
    const own = new Set(
      (await ness<EntryPage>('GET', '/api/entries?unit=entries&limit=200')).body.rows.map(({ id }) => id),
    )
    expect((seen.body.rows ?? []).every(({ id }) => own.has(id))).toBe(true)
    expect((await ness('PUT', '/api/teaching/doubts', { below: 0.5 })).status).toBe(403)
    await call('PUT', '/api/teaching/doubts', { below: 0.6 })
  })
})

test('a sentence is tried: sentiment with its confidence, and what is wanted', async () => {
  const { body } = await call<ReadingAnswer>('POST', '/api/teaching/reading', { text: question })
  expect(body).toMatchObject({ sentiment: 'neutral', wish: 'question' })
  expect(body.wantsAnswer).toBeGreaterThan(0.7)
})

test('what the team answers and what it finishes is learnt from, and both figures are shown', async () => {
  const { context } = world.server
  const { db } = context
  const sender = (i: number) => `+4477009${String(10_000 + i)}`
  // This team answers what speaks of dogs, and finishes what the fan club sends.
  const texts = Array.from({ length: 60 }, (_, i) =>
    i % 2 ? `Dogs and boats ${things(i, 8)}` : `Fan club says ahoy ${things(i, 8)}`,
  )
  texts.forEach((text, i) => textmast.text({ number: '+447700900100', from: sender(i), text }))
  await read(66)
  const told = (await page('unit=entries')).filter(({ text }) => texts.includes(text))
  for (const row of told) {
    const { edition } = await thread(row.threadId)
    const path = `/api/threads/${row.threadId}`
    const done = row.text.startsWith('Dogs')
      ? await call('POST', `${path}/replies`, {
          text: 'Dogs are welcome.',
          key: crypto.randomUUID(),
          edition,
          finish: true,
          anyway: true,
        })
      : await call('POST', `${path}/events`, { kind: 'finish', edition })
    expect(done.status).toBe(200)
  }
  const { brand_id: brandId } = (await db.one<{ brand_id: number }>('SELECT brand_id FROM entries LIMIT 1'))!
  // What the tests before asked to be learnt must not end after this: what has not begun is dropped, what runs is waited for.
  await db.rows(`DELETE FROM due_work WHERE kind = 'learn' AND lease IS NULL`)
  await until(
    async () =>
      (
        await db.one<{ n: number }>(
          `SELECT count(*) AS n FROM due_work WHERE kind = 'learn' AND lease IS NOT NULL AND lease_until > now()`,
        )
      )?.n === 0,
    { seconds: 60 },
  )
  await learnFromCorrections(context, brandId, { anyway: true })
  const { answers } = (await call<TeachingAnswer>('GET', '/api/teaching')).body
  expect(answers).toMatchObject({ n: 60, answered: 30, better: true, used: true })
  expect(answers.byThread.learnt).toBeGreaterThan(answers.byThread.base)
  expect(answers.byTime.learnt).toBeGreaterThan(answers.byTime.base)
  // What comes now is read with it.
  textmast.text({ number: '+447700900100', from: sender(90), text: 'Fan club says ahoy to the fleet again' })
  textmast.text({ number: '+447700900100', from: sender(91), text: 'Dogs and boats, a note again' })
  await read(68)
  const wants = async (text: string): Promise<number> => {
    const of = () =>
      db.one<{ wants: number | null }>('SELECT wants_answer AS wants FROM entries WHERE text = $1', [text])
    await until(async () => (await of())?.wants != null)
    return (await of())!.wants!
  }
  expect(await wants('Dogs and boats, a note again')).toBeGreaterThan(
    await wants('Fan club says ahoy to the fleet again'),
  )
}, 150_000)
