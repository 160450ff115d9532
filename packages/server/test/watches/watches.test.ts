import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { EntryRow, Problem, TunerAnswer, WatchAnswer } from '@murrabel/contract'
import { startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { until } from '../support/until.ts'
import { type Caller } from '../support/world.ts'

let world: ConnectedWorld
let specialist: Caller
let list: ConnectedWorld['list']

beforeAll(async () => {
  world = await startConnectedWorld()
  ;({ specialist, list } = world)
})
afterAll(() => world.stop())

describe('watches', () => {
  const query = { anyOf: [{ text: 'skerrivane' }], noneOf: [{ text: 'folk song' }] }

  test('is tried before it is saved, and catches the same afterwards', async () => {
    const trial = (await specialist<TunerAnswer>('POST', '/api/watches/tuner', { query })).body
    expect(trial.hits).toBe(1)
    expect(trial.perDay.reduce((sum, d) => sum + d.count, 0)).toBe(1)
    const [hit] = trial.sample
    expect(`${hit!.title}\n\n${hit!.text}`.slice(hit!.hits[0]!.start, hit!.hits[0]!.end)).toBe('Skerrivane')
    const saved = (await specialist<WatchAnswer>('POST', '/api/watches', { name: 'Skerrivane', query })).body
    const watches = () =>
      specialist<WatchAnswer[]>('GET', '/api/watches').then((r) => r.body.find((w) => w.id === saved.id))
    await until(async () => (await watches())?.mentions === 1)
    const rows = await list(`unit=entries&watch=${saved.id}`)
    expect(rows.map((r: EntryRow) => r.text)).toEqual([
      'Skerrivane Ferries adds a boat. Visitors welcomed it.',
    ])
    expect(rows[0]!.hits?.length).toBe(1)
    await specialist('PUT', `/api/watches/${saved.id}`, { name: 'Skerrivane', query: { anyOf: query.anyOf } })
    await until(async () => (await watches())?.mentions === 2)
    expect((await specialist('DELETE', `/api/watches/${saved.id}`)).status).toBe(204)
    expect(await watches()).toBeUndefined()
    expect((await specialist<WatchAnswer>('POST', `/api/watches/${saved.id}/restore`)).body.id).toBe(saved.id)
  })

  test('what comes in later is caught at once', async () => {
    const saved = (
      await specialist<WatchAnswer>('POST', '/api/watches', {
        name: 'Ness',
        query: { anyOf: [{ text: 'Ness', exactCase: true }] },
      })
    ).body
    await fetch(`${world.wherabout.address}/businesses/dunmarrow`, {
      method: 'POST',
      body: new URLSearchParams({ name: 'Iva Rook', rating: '5', text: 'Ness was kind to us.' }),
      redirect: 'manual',
    })
    await until(async () => (await list(`unit=entries&watch=${saved.id}`)).length === 1)
  })

  test.each([
    [{}, 'nothingAsked'],
    [{ anyOf: [{ text: '*' }] }, 'termEmpty'],
    [{ anyOf: Array.from({ length: 900 }, (_, i) => ({ text: `term ${i}` })) }, 'tooManyTerms'],
  ])('a watch that cannot work is refused: %#', async (bad, code) => {
    const { status, body } = await specialist<Problem>('POST', '/api/watches', { name: 'x', query: bad })
    expect([status, body.fields?.[0]?.code]).toEqual([422, code])
  })
})
