import { expect, test } from 'vitest'
import { spamPrint, spamReason, transition, type SpamMark } from '@murrabel/core/inbox'

const printOf = (text: string) => spamPrint({ title: null, text })
const pitch =
  'Dear owner, we can double the visitors of your ferry page within two weeks, and the first month is free of charge. Shall we talk on Tuesday?'
const pitchAgain =
  'Dear owner, we can double the visitors of your kayak page within two weeks, and the first month is free of charge. Shall we talk on Tuesday?'
const other =
  'We would like to bring our dog and two bicycles on the early boat to Ness on Sunday, is that possible? We could come an hour before, too.'
const mark = (of: Partial<SpamMark>): SpamMark => ({
  thread: 1,
  account: null,
  print: null,
  spam: true,
  at: 0,
  ...of,
})

test('without a mark nothing is spam', () => {
  expect(spamReason({ account: 4, print: printOf(pitch) }, [])).toBeNull()
})

test('a sender is what was said of them last', () => {
  const marks = [
    mark({ thread: 1, account: 4, at: 10 }),
    mark({ thread: 2, account: 4, at: 20 }),
    mark({ thread: 3, account: 5, at: 30, spam: false }),
  ]
  expect(spamReason({ account: 4, print: null }, marks)).toEqual({ why: 'sender', like: 2 })
  expect(spamReason({ account: 5, print: null }, marks)).toBeNull()
  expect(spamReason({ account: null, print: null }, marks)).toBeNull()
  const taken = [...marks, mark({ thread: 4, account: 4, at: 40, spam: false })]
  expect(spamReason({ account: 4, print: null }, taken)).toBeNull()
})

test('nearly the same words are spam from anybody, other words are not', () => {
  const marks = [mark({ thread: 9, account: 4, print: printOf(pitch) })]
  expect(spamReason({ account: 6, print: printOf(pitchAgain) }, marks)).toEqual({ why: 'words', like: 9 })
  expect(spamReason({ account: 6, print: printOf(other) }, marks)).toBeNull()
})

test('who was said to be none is none, whatever their words; and so is what is as near to one that is none', () => {
  const marks = [
    mark({ thread: 9, account: 4, print: printOf(pitch) }),
    mark({ thread: 10, account: 6, print: printOf(other), spam: false }),
  ]
  expect(spamReason({ account: 6, print: printOf(pitchAgain) }, marks)).toBeNull()
  const twice = [...marks, mark({ thread: 11, account: 7, print: printOf(pitch), spam: false })]
  expect(spamReason({ account: 8, print: printOf(pitchAgain) }, twice)).toBeNull()
  expect(spamReason({ account: 8, print: printOf(pitchAgain) }, twice.toReversed())).toBeNull()
})

test('spam is done, and opens when it is said to be none', () => {
  const open = { state: 'open', setAsideUntil: null } as const
  expect(transition(open, { kind: 'spam' }, 0)).toEqual({
    changed: true,
    next: { state: 'done', setAsideUntil: null },
  })
  expect(transition({ state: 'done', setAsideUntil: null }, { kind: 'notSpam' }, 0)).toMatchObject({
    next: { state: 'open' },
  })
})

test('a short text is known by nothing: many say the same', () => {
  expect(printOf('Is the 9:45 from Dunmarrow on time today?')).toBeNull()
  expect(spamPrint({ title: 'A subject', text: other })).not.toBeNull()
})

test('of texts of chance none is put aside for another', () => {
  // Words of chance from a vocabulary as small as that of one trade.
  let seed = 7
  const random = () => (seed = (seed * 48_271) % 2_147_483_647) / 2_147_483_647
  const text = () => Array.from({ length: 40 }, () => `word${Math.floor(400 * random() ** 2)}`).join(' ')
  const marks = Array.from({ length: 200 }, (_, thread) => mark({ thread, print: printOf(text()) }))
  const taken = Array.from({ length: 500 }, () =>
    spamReason({ account: null, print: printOf(text()) }, marks),
  )
  expect(taken.filter(Boolean)).toHaveLength(0)
})
