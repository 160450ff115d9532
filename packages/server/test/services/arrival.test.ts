import { describe, expect, test } from 'vitest'
import { historyDays, stateOnArrival, type Arrival } from '../../src/services/threads/arrival.ts'
import { lensOf } from '../../src/services/entries/askedLens.ts'
import { Refusal } from '../../src/problem.ts'

const day = 86_400_000
const connectedAt = 1000 * day
const base: Arrival = {
  state: 'open',
  kind: 'comment',
  leadAt: connectedAt + day,
  answeredAt: null,
  leadIsNew: true,
  connectedAt,
  historyMs: historyDays * day,
}

describe('the state of a thread when entries arrive', () => {
  test.each<[string, Partial<Arrival>, Arrival['state']]>([
    ['something new from them', {}, 'open'],
    ['something new in a finished thread', { state: 'done' }, 'open'],
    ['something new in a thread that was set aside', { state: 'aside' }, 'open'],
    ['only words of our own', { kind: null, leadAt: null }, 'done'],
    ['an article, which nobody waits for', { kind: 'mention' }, 'done'],
    ['history from before the day of connecting', { leadAt: connectedAt - 30 * day }, 'done'],
    ['the last days before connecting', { leadAt: connectedAt - 3 * day }, 'open'],
    [
      'history that was answered',
      { leadAt: connectedAt - 3 * day, answeredAt: connectedAt - 2 * day },
      'done',
    ],
    ['answered elsewhere after connecting', { answeredAt: connectedAt + 2 * day }, 'waiting'],
    [
      'our answer on the network, to a thread that was open',
      { leadIsNew: false, answeredAt: connectedAt + 2 * day },
      'waiting',
    ],
    [
      'our answer on the network, to a thread that was done',
      { leadIsNew: false, state: 'done', answeredAt: connectedAt + 2 * day },
      'done',
    ],
    ['nothing new', { leadIsNew: false, state: 'aside' }, 'aside'],
    ['an answer older than what they said last', { answeredAt: connectedAt }, 'open'],
  ])('%s', (_, part, expected) => expect(stateOnArrival({ ...base, ...part })).toBe(expected))
})

describe('the lens of an address', () => {
  test('stands on the blank one', () => {
    expect(lensOf({ unit: 'threads', state: 'open', limit: '5' })).toMatchObject({
      unit: 'threads',
      state: 'open',
      kinds: [],
    })
  })
  test('a part that is given twice is not understood', () => {
    expect(() => lensOf({ unit: 'entries', state: ['open', 'done'] })).toThrow(Refusal)
  })
})
