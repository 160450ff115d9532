import { flushPromises, mount } from '@vue/test-utils'
import { defineComponent, h } from 'vue'
import { describe, expect, test } from 'vitest'
import { problemOf, type EntryRow } from '@murrabel/contract'
import { useMentionActions } from '../src/sections/watches/useMentionActions.ts'
import { useUndo } from '../src/stores/undo.ts'
import { keep, useStage } from './stage.ts'
import { fakeServer, mounting, row } from './support.ts'
import { watchOf } from './watchSupport.ts'

useStage()

/** The actions, on rows that change as they say. */
async function use(answers: Parameters<typeof fakeServer>[0], given: EntryRow[], role?: 'reader') {
  const server = fakeServer(answers)
  const rows = new Map(given.map((each) => [each.id, each]))
  let actions!: ReturnType<typeof useMentionActions>
  const Inside = defineComponent(() => {
    actions = useMentionActions({
      changed: (ids, part) => ids.forEach((id) => rows.set(id, { ...rows.get(id)!, ...part })),
    })
    return () => h('i')
  })
  keep(mount(Inside, await mounting({ role: role as never })))
  const sent = (path: string) => server.calls.filter((c) => c.path.includes(path))
  return { actions, rows: given, now: (id: number) => rows.get(id)!, sent, ...server }
}
const changedThread = (id: number, eventId: number | null = id + 100) => ({
  thread: {
    id,
    state: 'done',
    edition: 4,
    setAsideUntil: null,
    givenTo: null,
    teamId: null,
    priority: 0,
    spam: false,
  },
  eventId,
})
const three = () => [
  row({ id: 1, threadId: 9, state: 'open', givenTo: null }),
  row({ id: 2, threadId: 10, state: 'waiting', givenTo: 2 }),
  row({ id: 3, threadId: 9, state: 'open', givenTo: null }),
]

describe('finishing', () => {
  test('does each thread once, and gives back the state each had', async () => {
    const { actions, rows, now, sent } = await use(
      {
        'POST /api/threads/9/events': changedThread(9),
        'POST /api/threads/10/events': changedThread(10),
        'POST /api/threads': {},
      },
      three(),
    )
    await actions.finish(rows)
    expect(sent('/events').map((c) => c.path)).toHaveLength(2)
    expect([1, 2, 3].map((id) => now(id).state)).toEqual(['done', 'done', 'done'])
    await useUndo().undo()
    expect([1, 2, 3].map((id) => now(id).state)).toEqual(['open', 'waiting', 'open'])
  })
  test('what is finished already is left as it is', async () => {
    const { actions, rows, calls } = await use({}, [row({ id: 1, state: 'done' })])
    await actions.finish(rows)
    expect(calls).toHaveLength(0)
    expect(useUndo().notice).toBeNull()
  })
  test('refused half way, it says what was done, and takes back only that', async () => {
    const { actions, rows, now } = await use(
      {
        'POST /api/threads/9/events': changedThread(9),
        'POST /api/threads/10/events': () => ({ status: 403, body: problemOf('notAllowed') }),
        'POST /api/threads': {},
      },
      three(),
    )
    await actions.finish(rows)
    expect([1, 2, 3].map((id) => now(id).state)).toEqual(['done', 'waiting', 'done'])
    expect(useUndo().notice!.text).toMatch(/^1 .*Your role does not allow this/)
    await useUndo().undo()
    expect([1, 2, 3].map((id) => now(id).state)).toEqual(['open', 'waiting', 'open'])
  })
  test('refused at once, it changes nothing and says why', async () => {
    const { actions, rows, now } = await use(
      { 'POST /api/threads': () => ({ status: 403, body: problemOf('notAllowed') }) },
      three(),
    )
    await actions.finish(rows)
    expect(now(1).state).toBe('open')
    expect(useUndo().notice).toMatchObject({ problem: true })
  })
})

test('giving to a colleague comes back to whom it was given before', async () => {
  const { actions, rows, now } = await use(
    {
      'PUT /api/threads/9/given': changedThread(9),
      'PUT /api/threads/10/given': changedThread(10),
      'POST /api/threads': {},
    },
    three(),
  )
  await actions.give(rows, 3)
  expect([1, 2, 3].map((id) => now(id).givenTo)).toEqual([3, 3, 3])
  expect(useUndo().notice!.text).toContain('Ivo Oduya')
  await useUndo().undo()
  expect([1, 2, 3].map((id) => now(id).givenTo)).toEqual([null, 2, null])
})

describe('judging', () => {
  test('many at once: back go the machine’s reading and a person’s, each to its own', async () => {
    const { actions, now, sent, rows } = await use(
      {
        'PUT /api/entries/sentiment': (body: unknown) => ({
          body: {
            changed: (body as { ids: number[] }).ids.map((id) => ({
              id,
              before: id === 1 ? 'negative' : 'neutral',
            })),
          },
        }),
      },
      [
        row({ id: 1, sentiment: 'negative', corrected: false }),
        row({ id: 2, sentiment: 'neutral', corrected: true }),
      ],
    )
    await actions.judge(rows, 'positive')
    expect([now(1), now(2)].map((r) => [r.sentiment, r.corrected])).toEqual([
      ['positive', true],
      ['positive', true],
    ])
    await useUndo().undo()
    expect(
      sent('sentiment')
        .slice(1)
        .map((c) => c.body),
    ).toEqual([
      { ids: [1], sentiment: null },
      { ids: [2], sentiment: 'neutral' },
    ])
    expect([now(1), now(2)].map((r) => [r.sentiment, r.corrected])).toEqual([
      ['negative', false],
      ['neutral', true],
    ])
  })
  test('a reader judges nothing', async () => {
    const { actions, rows, calls } = await use({}, three(), 'reader')
    await actions.judge(rows, 'positive')
    await actions.keep(rows, true)
    expect(calls).toHaveLength(0)
  })
})

test('keeping tells how many were not kept before, and lets go of those alone', async () => {
  const { actions, rows, now, sent } = await use({ 'PUT /api/entries/kept': { changed: [2] } }, [
    row({ id: 1, kept: true }),
    row({ id: 2, kept: false }),
  ])
  await actions.keep(rows, true)
  expect(useUndo().notice!.text).toBe('Kept 1 mention')
  await useUndo().undo()
  expect(sent('kept').map((c) => c.body)).toEqual([
    { ids: [1, 2], kept: true },
    { ids: [2], kept: false },
  ])
  expect([now(1).kept, now(2).kept]).toEqual([true, false])
})

test('a voice is now excluded from a watch beside those left out before, and heard again', async () => {
  const query = { ...watchOf().query, voices: { only: [], without: ['troll'] } }
  const { actions, sent } = await use(
    { 'PUT /api/watches/4': watchOf(), 'GET /api/watches': [watchOf()], 'GET /api/groups': [] },
    [],
  )
  await actions.leaveOut(watchOf({ query }), 'gazette')
  await useUndo().undo()
  await flushPromises()
  const voices = sent('/api/watches/4').map(
    (c) => (c.body as { query: { voices: { without: string[] } } }).query.voices.without,
  )
  expect(voices).toEqual([['troll', 'gazette'], ['troll']])
})
