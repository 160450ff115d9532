import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import type { ChatEvent, ChatLine, ChatStateAnswer } from '@murrabel/contract'
import { Conversation } from '../src/conversation.ts'
import { memoryOf, type Memory } from '../src/memory.ts'
import type { Asked, Network } from '../src/network.ts'

const site: ChatStateAnswer = {
  brand: 'Skerrivane Ferries',
  greeting: '',
  open: true,
  opensAt: null,
  answerWithin: 5,
  colour: null,
  logo: null,
  byMail: true,
}
const line = (
  id: string,
  from: 'visitor' | 'team',
  text: string,
  more: Partial<ChatLine> = {},
): ChatLine => ({
  id,
  from,
  name: from === 'team' ? 'Tamsin' : '',
  text,
  at: new Date().toISOString(),
  byMail: false,
  ...more,
})

/** A server in the hands of the test. */
class FakeNetwork implements Network {
  asked: { what: string; body: Record<string, unknown> }[] = []
  answers: ((what: string) => Asked<unknown> | undefined)[] = []
  state = site
  follows = 0
  tell: (event: ChatEvent) => void = () => {}
  cut: () => void = () => {}
  ask<T>(what: string, body: object): Promise<Asked<T>> {
    this.asked.push({ what, body: body as Record<string, unknown> })
    const planned = what === 'lines' ? this.answers.shift()?.(what) : undefined
    const usual = what === 'state' ? this.state : what === 'lines' ? line('x', 'visitor', '') : undefined
    return Promise.resolve((planned ?? { kind: 'answer', answer: usual }) as Asked<T>)
  }
  follow(_token: string, tell: (event: ChatEvent) => void, signal: AbortSignal): Promise<void> {
    this.follows++
    this.tell = tell
    return new Promise((resolve) => {
      this.cut = resolve
      signal.addEventListener('abort', () => resolve())
    })
  }
  lines = () => this.asked.filter(({ what }) => what === 'lines').map(({ body }) => body)
}

let network: FakeNetwork
let memory: Memory
const begin = () =>
  new Conversation({
    network,
    memory,
    page: () => ({ url: 'https://ferry.example/fares', title: 'Fares' }),
    language: 'en',
    name: '',
  })
const away: Asked<never> = { kind: 'away' }
const refused = (code: string): Asked<never> => ({ kind: 'refused', status: 429, code })

beforeEach(() => {
  vi.useFakeTimers({ now: Date.UTC(2026, 10, 26, 12) })
  network = new FakeNetwork()
  let kept: string | null = null
  memory = { token: () => kept, keep: (token) => (kept = token) }
})
afterEach(() => vi.useRealTimers())
const settle = (ms = 0) => vi.advanceTimersByTimeAsync(ms)

describe('sending', () => {
  test('nothing is kept or followed before the first word; then it is', async () => {
    const talk = begin()
    talk.show(true)
    await settle(60_000)
    expect([memory.token(), network.follows, network.asked.map(({ what }) => what)]).toEqual([
      null,
      0,
      ['state'],
    ])
    talk.say('  Hello ')
    await settle()
    expect(memory.token()).toMatch(/^[\w-]{43}$/)
    expect(network.lines()).toMatchObject([
      { text: 'Hello', page: { title: 'Fares' }, token: memory.token() },
    ])
    expect(network.follows).toBe(1)
    expect(talk.view.lines).toMatchObject([{ text: 'Hello', state: 'sent' }])
  })

  test('a line that nobody took is sent again under its id, and those after it wait', async () => {
    const talk = begin()
    network.answers = [() => away, () => away]
    talk.say('one')
    talk.say('two')
    await settle()
    expect(talk.view.lines.map(({ state }) => state)).toEqual(['sending', 'sending'])
    await settle(10_000)
    expect(network.lines().map(({ text }) => text)).toEqual(['one', 'one', 'one', 'two'])
    expect(new Set(network.lines().map(({ id }) => id)).size).toBe(2)
    expect(talk.view.lines.map(({ state }) => state)).toEqual(['sent', 'sent'])
  })

  test('the network comes back: what waits goes out at once', async () => {
    const talk = begin()
    network.answers = Array.from({ length: 1000 }, () => () => away)
    talk.say('one')
    await settle(60_000)
    const tries = network.lines().length
    expect(talk.view.lines[0]!.state).toBe('sending')
    network.answers = []
    talk.wake()
    await settle()
    expect(network.lines().length).toBe(tries + 1)
    expect(talk.view.lines[0]!.state).toBe('sent')
  })

  test('a line that is refused keeps its text, and can be sent again', async () => {
    const talk = begin()
    network.answers = [() => refused('chatTooFast')]
    talk.say('one')
    await settle()
    expect(talk.view.lines).toMatchObject([{ text: 'one', state: 'failed', code: 'chatTooFast' }])
    talk.again(talk.view.lines[0]!.id)
    await settle()
    expect(talk.view.lines).toMatchObject([{ text: 'one', state: 'sent' }])
    expect(new Set(network.lines().map(({ id }) => id)).size).toBe(1)
  })

  test('writing is told, but seldom, and not before a conversation has begun', async () => {
    const talk = begin()
    talk.typing()
    talk.say('Hello')
    await settle()
    for (let i = 0; i < 40; i++) {
      talk.typing()
      await settle(100)
    }
    expect(network.asked.filter(({ what }) => what === 'typing').length).toBe(2)
  })
})

describe('hearing', () => {
  test('what was told before a lost line is told again and stands there once', async () => {
    const talk = begin()
    talk.say('Hello')
    await settle()
    const own = talk.view.lines[0]!
    const answer = line('entry-1', 'team', 'Hello!')
    network.tell({ kind: 'conversation', lines: [own], email: null })
    network.tell({ kind: 'line', line: answer })
    network.cut()
    await settle()
    expect(talk.view.line).toBe('lost')
    await settle(5000)
    expect(network.follows).toBe(2)
    network.tell({
      kind: 'conversation',
      lines: [own, answer, line('entry-2', 'team', 'Still there?')],
      email: null,
    })
    expect(talk.view.line).toBe('open')
    expect(talk.view.lines.map(({ text }) => text)).toEqual(['Hello', 'Hello!', 'Still there?'])
  })

  test('a line on its way stays last, and is one when its copy comes first', async () => {
    const talk = begin()
    network.answers = Array.from({ length: 3 }, () => () => away)
    memory.keep('t'.repeat(43))
    const again = begin()
    again.say('Mine')
    await settle()
    const own = again.view.lines[0]!
    network.tell({ kind: 'conversation', lines: [line('a', 'team', 'Before')], email: null })
    expect(again.view.lines.map(({ text }) => text)).toEqual(['Before', 'Mine'])
    // Its answer was lost, but the server has it.
    network.tell({ kind: 'line', line: { ...own } })
    expect(again.view.lines.map(({ text, state }) => [text, state])).toEqual([
      ['Before', 'sent'],
      ['Mine', 'sent'],
    ])
    talk.end()
  })

  test('changed and taken back, writing that ends by itself, answers counted while the box is shut', async () => {
    const talk = begin()
    talk.say('Hello')
    await settle()
    network.tell({ kind: 'writing' })
    expect(talk.view.writing).toBe(true)
    await settle(7000)
    expect(talk.view.writing).toBe(false)
    network.tell({ kind: 'line', line: line('e1', 'team', 'Forty') })
    network.tell({ kind: 'line', line: line('e1', 'team', 'Thirty') })
    expect(talk.view.lines.at(-1)!.text).toBe('Thirty')
    expect(talk.view.unread).toBe(1)
    talk.show(true)
    expect(talk.view.unread).toBe(0)
    network.tell({ kind: 'gone', id: 'e1' })
    expect(talk.view.lines.map(({ text }) => text)).toEqual(['Hello'])
  })
})

describe('asking for an address', () => {
  test.each([
    ['outside opening hours, at once', { open: false, opensAt: '2026-11-27T08:00:00Z' }, 0, 'closed'],
    ['while somebody is there, not at once', {}, 0, null],
    ['when nobody answers in time', {}, 5.1, 'waiting'],
    ['never, where a chat cannot go on by mail', { open: false, byMail: false }, 60, null],
  ] as const)('%s', async (_, state, minutes, asked) => {
    network.state = { ...site, ...state }
    const talk = begin()
    talk.show(true)
    await settle()
    expect(talk.view.ask).toBe(null)
    network.answers = [() => ({ kind: 'answer', answer: line('x', 'visitor', '') })]
    talk.say('Anybody?')
    await settle()
    await settle(minutes * 60_000)
    talk.tick()
    expect(talk.view.ask).toBe(asked)
  })

  test('an answer, or an address that is taken, ends it; a refusal says why', async () => {
    network.state = { ...site, open: false, opensAt: '2026-11-27T08:00:00Z' }
    const talk = begin()
    talk.show(true)
    talk.say('Anybody?')
    await settle()
    expect(talk.view.ask).toBe('closed')
    network.tell({ kind: 'line', line: line('e', 'team', 'I am.') })
    expect(talk.view.ask).toBe(null)
    talk.say('Good. And now?')
    await settle()
    expect(talk.view.ask).toBe('closed')
    expect(await talk.leaveMail('a@b.example', '')).toBe(null)
    expect(talk.view).toMatchObject({ ask: null, email: 'a@b.example' })
    vi.spyOn(network, 'ask').mockResolvedValueOnce(refused('invalid'))
    expect(await talk.leaveMail('nonsense', '')).toBe('invalid')
  })
})

test('where the site’s storage is closed the conversation lives as long as the page', () => {
  const closed = memoryOf('k', () => {
    throw new Error('refused')
  })
  expect(closed.token()).toBe(null)
  closed.keep('t')
  expect(closed.token()).toBe('t')
})
