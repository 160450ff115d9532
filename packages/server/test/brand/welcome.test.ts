import { afterAll, beforeAll, expect, test } from 'vitest'
import type { WelcomeAnswer } from '@murrabel/contract'
import { welcome } from '../../src/services/brand/welcome.ts'
import { settled, startTestWorld, type TestWorld } from '../support/world.ts'

let world: TestWorld
const day = 86_400_000

beforeAll(async () => {
  world = await startTestWorld()
  const { state } = world.wherabout
  state.add({
    op: 'business',
    id: 'inchgarth',
    name: 'Skerrivane Ferries, Inchgarth',
    street: 'Quay 1',
    town: 'Inchgarth',
    phone: '',
  })
  const now = Date.now()
  const review = (i: number, rating: number, text: string) =>
    state.add({
      op: 'review',
      id: `w${i}`,
      business: 'inchgarth',
      author: { id: `v${i}`, name: `Visitor ${i}` },
      rating,
      text,
      created: new Date(now - i * day).toISOString(),
    })
  review(1, 5, 'A wonderful crossing, and the crew was kind to my mother all the way over.')
  review(2, 1, 'A terrible crossing, two hours late and nobody at the gate said a single word.')
  review(90, 5, 'A lovely boat a long time ago, with a warm galley and a very friendly crew on it.')
  const owner = await world.signIn('wynn')
  await world.connect(owner, 'wherabout')
  await settled(world)
})
afterAll(() => world.stop())

const asked = async () =>
  (await (await fetch(`${world.config.publicAddress}/api/welcome`)).json()) as WelcomeAnswer

test('without a session nothing of anybody is shown', async () => {
  expect(await asked()).toEqual({ demo: null })
})

test('a demo shows sixty days of what it holds, and public words of each sentiment', async () => {
  const { context } = world.server
  const { demo } = await welcome({ ...context, config: { ...context.config, demo: true } })()
  expect(demo!.days).toHaveLength(60)
  expect(demo!.entries).toBe(2)
  expect(demo!.said.map(({ sentiment, network }) => [sentiment, network])).toEqual([
    ['negative', 'wherabout'],
    ['positive', 'wherabout'],
  ])
})
