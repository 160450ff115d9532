import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { askForReadings, readingStepNames } from '../../src/services/analysis/index.ts'
import type { ReadingStep } from '../../src/services/analysis/readingSteps.ts'
import { addComments } from '../support/comments.ts'
import { until } from '../support/until.ts'
import { settled, startTestWorld, type TestWorld } from '../support/world.ts'

let world: TestWorld
const story =
  'The ferry Storm Petrel returns to the Dunmarrow route on Monday, after new engines were fitted in dry dock.'

beforeAll(async () => {
  world = await startTestWorld()
  addComments(world, 2300, (i) =>
    i % 100 === 7
      ? `${story}${i % 200 ? '' : ' At last.'}`
      : `Comment ${i}: ${i % 3 ? 'a lovely' : 'une terrible'} crossing`,
  )
  const owner = await world.signIn('wynn')
  await owner('POST', '/api/watches', { name: 'lovely', query: { anyOf: [{ text: 'lovely' }] } })
  await world.connect(owner, 'lanternpage')
  await settled(world)
}, 120_000)
afterAll(() => world.stop())

const db = () => world.server.context.db
const whole = () =>
  db().rows<{ id: number }>(
    `SELECT e.id, e.language, e.sentiment, e.search::text AS search, e.print, e.story_id AS story,
       ARRAY(SELECT m.watch_id FROM mentions m WHERE m.entry_id = e.id) AS watches
     FROM entries e
     ORDER BY e.id`,
  )
const versions = () =>
  db().rows<{ step: string; version: number }>('SELECT step, version FROM reading_steps ORDER BY step')
/** What was read with older code, and what a jobs process does about it when it starts. */
async function readAgain(step: ReadingStep, damage: string): Promise<void> {
  await db().rows(damage)
  await db().rows('UPDATE reading_steps SET version = 0 WHERE step = $1', [step])
  await askForReadings(world.server.context)
  await until(async () => (await versions()).every(({ version }) => version > 0))
  await settled(world)
}

describe('a step that reads otherwise than before reads the history again, alone', () => {
  let before: { id: number }[]
  beforeEach(async () => {
    before = await whole()
  })

  test('what is there is worth reading', () => {
    const stories = new Set(before.flatMap((row) => (row as unknown as { story: number | null }).story ?? []))
    const languages = new Set(before.map((row) => (row as unknown as { language: string }).language))
    expect([before.length > 2000, stories.size, languages.size > 1]).toEqual([true, 1, true])
  })
  test.each<[ReadingStep, string]>([
    ['language', `UPDATE entries SET language = 'xx'`],
    ['words', `UPDATE entries SET search = ''`],
    ['sentiment', `UPDATE entries SET sentiment = 'neutral', spans = '[]' WHERE direction = 'in'`],
    ['stories', `UPDATE entries SET print = NULL, story_id = NULL`],
    ['watches', `DELETE FROM mentions`],
  ])('%s', async (step, damage) => {
    await readAgain(step, damage)
    expect(await whole()).toEqual(before)
  })
  test('a brand that is made now has been read by every step', async () => {
    expect((await versions()).map(({ step }) => step)).toEqual([...readingStepNames].sort())
  })
  test('nothing is asked for when nothing has changed', async () => {
    await askForReadings(world.server.context)
    const due = await db().rows(`SELECT 1 FROM due_work WHERE kind = 'readAgain'`)
    expect(due).toEqual([])
  })
})
