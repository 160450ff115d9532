import { describe, expect, test } from 'vitest'
import { arrivalEvent, historyDays, transition, type Arrival } from '@murrabel/core/inbox'

const day = 86_400_000
const connectedAt = 1000 * day
const base: Arrival = {
  state: 'open',
  origin: 'sent',
  leadAt: connectedAt + day,
  answeredAt: null,
  leadIsNew: true,
  spam: false,
  connectedAt,
  historyMs: historyDays * day,
}

describe('the state of a thread when entries arrive', () => {
  test.each<[string, Partial<Arrival>, Arrival['state']]>([
    ['something new from them', {}, 'open'],
    ['something new in a finished thread', { state: 'done' }, 'open'],
    ['something new in a thread that was set aside', { state: 'aside' }, 'open'],
    ['only words of our own', { origin: null, leadAt: null }, 'done'],
    ['an article, which nobody waits for', { origin: 'heard' }, 'done'],
    ['a mention that a watch is to answer', { origin: 'watched' }, 'open'],
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
    ['more in a thread put aside as spam', { state: 'done', spam: true }, 'done'],
    ['what was opened and is spam', { spam: true }, 'done'],
    ['an answer older than what they said last', { answeredAt: connectedAt }, 'open'],
  ])('%s', (_, part, expected) => {
    const arrival = { ...base, ...part }
    const event = arrivalEvent(arrival)
    const position = { state: arrival.state, setAsideUntil: null }
    const moved = event && transition(position, event, arrival.connectedAt)
    expect(moved?.changed ? moved.next.state : arrival.state).toBe(expected)
  })
})
