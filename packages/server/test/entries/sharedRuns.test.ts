import { describe, expect, test } from 'vitest'
import { blankLens } from '@murrabel/core/lens'
import type { Reader } from '../../src/access/reader.ts'
import { questionKey } from '../../src/services/lens/index.ts'
import { SharedRuns } from '../../src/sharedRuns.ts'

/** Work whose end is in our hands. */
function held() {
  const ends: ((value: number) => void)[] = []
  const fails: ((error: Error) => void)[] = []
  const work = () =>
    new Promise<number>((resolve, reject) => {
      ends.push(resolve)
      fails.push(reject)
    })
  return { work, ends, fails }
}
const settle = () => new Promise((resolve) => setImmediate(resolve))

describe('questions that several ask', () => {
  test('one that comes while another is answered waits for a run that begins after it', async () => {
    const runs = new SharedRuns()
    const { work, ends } = held()
    const first = runs.ask('a', work)
    const late = [runs.ask('a', work), runs.ask('a', work), runs.ask('a', work)]
    expect(ends).toHaveLength(1)
    ends[0]!(1)
    expect(await first).toBe(1)
    await settle()
    expect(ends).toHaveLength(2)
    ends[1]!(2)
    expect(await Promise.all(late)).toEqual([2, 2, 2])
  })
  test('other questions do not wait, and one that has ended is asked afresh', async () => {
    const runs = new SharedRuns()
    const { work, ends } = held()
    const one = runs.ask('a', work)
    void runs.ask('b', work)
    expect(ends).toHaveLength(2)
    ends[0]!(1)
    await one
    void runs.ask('a', work)
    expect(ends).toHaveLength(3)
  })
  test('a failure is told to those who asked for that run, and to nobody else', async () => {
    const runs = new SharedRuns()
    const { work, ends, fails } = held()
    const first = runs.ask('a', work)
    const late = runs.ask('a', work)
    fails[0]!(new Error('away'))
    await expect(first).rejects.toThrow('away')
    await settle()
    ends[1]!(2)
    expect(await late).toBe(2)
  })
})

describe('who asks the same', () => {
  const reader: Reader = { colleagueId: 1, brandId: 1, role: 'owner', placeIds: null, profileIds: null }
  const key = (who: Partial<Reader>, query: object = {}, lens: object = {}) =>
    questionKey(
      'count',
      { ...reader, ...who },
      {
        lens: { ...blankLens, ...lens },
        query: query as Record<string, unknown>,
      },
    )
  test('sees the same, whoever it is, in whatever order it is asked', () =>
    expect(key({ colleagueId: 2 }, { b: '1', a: '2' })).toBe(key({}, { a: '2', b: '1' })))
  test.each<[string, Partial<Reader>, object, object]>([
    ['another brand', { brandId: 2 }, {}, {}],
    ['other places', { placeIds: [1] }, {}, {}],
    ['other profiles', { profileIds: [1] }, {}, {}],
    ['another part', {}, { a: '1' }, {}],
  ])('%s is another question', (_, who, query, lens) => expect(key(who, query, lens)).not.toBe(key({})))
  test.each(['me', 'meOrNobody'])('what is given to %s is each one’s own', (givenTo) =>
    expect(key({ colleagueId: 2 }, {}, { givenTo })).not.toBe(key({}, {}, { givenTo })),
  )
})
