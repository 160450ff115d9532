import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { EntryPage, Problem, TideAnswer } from '@murrabel/contract'
import { startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import { type Caller } from '../support/world.ts'

let world: ConnectedWorld
let specialist: Caller
let list: ConnectedWorld['list']
let count: ConnectedWorld['count']

beforeAll(async () => {
  world = await startConnectedWorld()
  ;({ specialist, list, count } = world)
})
afterAll(() => world.stop())

describe('the lens', () => {
  test.each([
    'unit=threads&state=open',
    'unit=entries&sentiment=negative',
    'unit=entries&words=skerrivane',
    'unit=entries&place=2',
    'unit=entries&time=last-7',
    'unit=threads&channel=maps&order=oldest',
  ])('count, list and tide of %s agree', async (query) => {
    const rows = await list(`${query}&limit=100`)
    expect((await count(query)).count).toBe(rows.length)
    const wide = `${query.replace(/&time=[^&]*/, '')}&time=last-300`
    const { buckets } = (await specialist<TideAnswer>('GET', `/api/tide?${wide}`)).body
    const all = await count(wide)
    expect(buckets.reduce((sum, b) => sum + b.positive + b.neutral + b.negative + b.unread, 0)).toBe(
      all.count,
    )
  })

  test('pages follow each other without gap or overlap', async () => {
    const seen: number[] = []
    let after = ''
    do {
      const { body } = await specialist<EntryPage>(
        'GET',
        `/api/entries?unit=entries&limit=2${after && `&after=${after}`}`,
      )
      seen.push(...body.rows.map((r) => r.id))
      after = body.next ?? ''
    } while (after)
    expect(seen).toEqual((await list('unit=entries&limit=100')).map((r) => r.id))
    expect(new Set(seen).size).toBe(seen.length)
  })

  test('rows of named threads alone, as far as the lens holds them', async () => {
    const all = await list('unit=threads&limit=100')
    const two = [all[0]!, all[all.length - 1]!].map(({ threadId }) => threadId)
    const asked = await list(`unit=threads&limit=100&threads=${two.join(',')}`)
    expect(asked.map(({ threadId }) => threadId)).toEqual(two)
    const done = all.filter(({ state }) => state === 'done').map(({ threadId }) => threadId)
    expect(await list(`unit=threads&state=open&threads=${done.slice(0, 5).join(',')}`)).toEqual([])
  })
  test.each(['', 'x', '1,', '1,,2', Array.from({ length: 101 }, (_, i) => i + 1).join(',')])(
    'threads that are no list of ids are refused: %.12s',
    async (threads) => {
      const { status, body } = await specialist<Problem>(
        'GET',
        `/api/entries?unit=threads&threads=${threads}`,
      )
      expect([status, body.fields?.[0]?.field]).toEqual([422, 'threads'])
    },
  )

  test('an unknown lens is refused by field', async () => {
    const { status, body } = await specialist<Problem>(
      'GET',
      '/api/entries?unit=entries&sentiment=angry&order=loudest',
    )
    expect(status).toBe(422)
    expect(body.code).toBe('lensUnknown')
    expect(body.fields?.map((f) => f.field)).toEqual(['sentiment', 'order'])
  })
})
