import { expect } from 'vitest'
import type { EntryPage, EntryRow, ThreadAnswer } from '@murrabel/contract'
import { seedStandins } from './seed.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from './world.ts'

export interface ConnectedWorld extends TestWorld {
  owner: Caller
  specialist: Caller
  /** Rows of a lens. */
  list(query: string, call?: Caller): Promise<EntryRow[]>
  count(query: string, call?: Caller): Promise<{ count: number; pastDue: number }>
  /** The thread with an entry that holds these words. */
  threadOf(text: string, call?: Caller): Promise<ThreadAnswer>
}

/** A world whose networks and feeds are connected and read. */
export async function startConnectedWorld(): Promise<ConnectedWorld> {
  const world = await startTestWorld()
  seedStandins(world)
  const owner = await world.signIn('wynn')
  const specialist = await world.signIn('tamsin')
  expect(await world.connect(owner, 'lanternpage')).toMatch(/^\/set-up\/profiles\?connected=/)
  expect(await world.connect(owner, 'wherabout')).toMatch(/connected=\d+,\d+$/)
  for (const feed of ['courier', 'gazette', 'blog'])
    expect(
      (await owner('POST', '/api/profiles/feeds', { address: `${world.press.address}/${feed}/feed` })).status,
    ).toBe(200)
  await settled(world)
  const list = async (query: string, call = specialist) =>
    (await call<EntryPage>('GET', `/api/entries?${query}`)).body.rows
  return Object.assign(world, {
    owner,
    specialist,
    list,
    count: async (query: string, call = specialist) =>
      (await call<{ count: number; pastDue: number }>('GET', `/api/entries/count?${query}`)).body,
    async threadOf(text: string, call = specialist) {
      const row = (await list('unit=entries', call)).find((r) => r.text.includes(text))
      return (await call<ThreadAnswer>('GET', `/api/threads/${row?.threadId}`)).body
    },
  })
}

/** A key for a reply. */
export const key = () => crypto.randomUUID()
