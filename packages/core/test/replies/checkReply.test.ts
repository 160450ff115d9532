import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { amountOf, checkReply, type ReplySetting, type ReplyToCheck } from '@murrabel/core/replies'
import { hostileTexts } from '../support/hostile.ts'

const calm: ReplySetting = {
  names: ['Perrin Oakes'],
  colleagues: ['Tamsin Kerr', 'Ness Pascoe'],
  asked: [],
  last: null,
  moneyLimit: 50,
}
const doubts = (text: string, setting: Partial<ReplySetting> = {}, reply: Partial<ReplyToCheck> = {}) =>
  checkReply({ text, public: false, language: 'und', ...reply }, { ...calm, ...setting })
const kinds = (...args: Parameters<typeof doubts>) => doubts(...args).map(({ kind }) => kind)
const said = (...args: Parameters<typeof doubts>) =>
  doubts(...args).flatMap((each) => ('words' in each ? [each.words] : []))

describe('who is greeted', () => {
  it.each([
    ['Dear Hester,\nthank you.', ['Hester']],
    ['Good morning Mr Rook, thank you.', ['Rook']],
    ['Bonjour Madame Marchetaux,', ['Marchetaux']],
    ['Lieber Herr Feld,', ['Feld']],
    ['Estimada Señora Quill:', ['Quill']],
    ['Sorry to hear it.\nDear Hester Quill, we', ['Hester Quill']],
    ['Dear Perrin,', []],
    ['Dear Mr Oakes,', []],
    ['Dear Mr. P. Oakes,', []],
    ['Hello there, Perrin.', []],
    ['Dear customer,', []],
    ['Bonjour Madame,', []],
    ['Hi Per, all good.', []],
    ['Dear Tamsin, could you', []],
    ['Thank you Hester', ['Hester']],
    ['We told Hester about it.', []],
  ])('%s', (text, expected) => {
    expect(said(text)).toEqual(expected)
  })
  it('says nothing where only a handle or a number is known', () => {
    expect(kinds('Dear Hester,', { names: ['lowtide.sal', '+447700900142'] })).toEqual([])
  })
})

describe('what everybody may read', () => {
  it.each([
    ['Write to perrin@oakes.example please', 'email', 'perrin@oakes.example'],
    ['Call us back on +44 7700 900142.', 'phone', '+44 7700 900142'],
    ['Your number 07700 900142 is noted', 'phone', '07700 900142'],
    ['Card 4111 1111 1111 1111 was charged', 'card', '4111 1111 1111 1111'],
    ['To GB33BUKB20201555555555 today', 'account', 'GB33BUKB20201555555555'],
    ['Your booking SK2592 was moved', 'reference', 'SK2592'],
  ])('%s', (text, what, words) => {
    expect(doubts(text, {}, { public: true })).toEqual([
      { kind: 'personal', what, words, start: text.indexOf(words), end: text.indexOf(words) + words.length },
    ])
    expect(kinds(text)).toEqual([])
  })
  it.each([
    'The 10:40 from Port Ellery, 12 December 2026, 34 people',
    'Order 1234567890123 ok',
    'In 2025 and 2026',
  ])('leaves alone: %s', (text) => {
    expect(kinds(text, {}, { public: true })).toEqual([])
  })
})

it('finds gaps that were to be filled, and nothing that only looks like one', () => {
  expect(said('Dear {name}, your {{ visit }} on [date] at <place> costs XXX, call ____ TBC.')).toEqual([
    '{name}',
    '{{ visit }}',
    '[date]',
    '<place>',
    'XXX',
    '____',
    'TBC',
  ])
  expect(kinds('See [our page](https://ferry.example), point [1], a < b, Maxxx and five? Really??')).toEqual(
    [],
  )
})

it('tells another language than theirs, once there is enough of it', () => {
  const asked = [{ text: 'Peut-on monter à bord avec deux chiens ?', language: 'fr' }]
  const language = (text: string, ours: string) =>
    doubts(text, { asked }, { language: ours }).filter(({ kind }) => kind === 'language')
  expect(language('Yes, both dogs may come along with you on board.', 'en')).toEqual([
    { kind: 'language', theirs: 'fr', ours: 'en' },
  ])
  expect(language('Oui, les deux chiens sont les bienvenus à bord.', 'fr')).toEqual([])
  expect(language('Yes, sure', 'en')).toEqual([])
  expect(language('Yes, both dogs may come along with you on board.', 'und')).toEqual([])
})

describe('promises of money', () => {
  it.each([
    ['We will refund you £120.', [['£120', 120, 'GBP']]],
    [
      'We refund EUR 60 and a voucher of 75,50 €.',
      [
        ['EUR 60', 60, 'EUR'],
        ['75,50 €', 75.5, 'EUR'],
      ],
    ],
    ['Nous vous remboursons 1 250,50 euros.', [['1 250,50 euros', 1250.5, 'EUR']]],
    ['Wir erstatten Ihnen 99 Euro.', [['99 Euro', 99, 'EUR']]],
    ['Le reembolsamos 80 €.', [['80 €', 80, 'EUR']]],
    ['We will refund you £50.', []],
    ['A cabin costs £120.', []],
    ['A cabin costs £120. We are sorry that a refund takes a week.', []],
  ] as const)('%s', (text, expected) => {
    expect(
      doubts(text).flatMap((each) =>
        each.kind === 'money' ? [[each.words, each.amount, each.currency]] : [],
      ),
    ).toEqual(expected)
    expect(kinds(text, { moneyLimit: null })).toEqual([])
  })
  it('reads amounts as they are written anywhere', () => {
    expect(['1,250.50', '1.250,50', '1 250', "1'250", '12.5', '1.250'].map(amountOf)).toEqual([
      1250.5, 1250.5, 1250, 1250, 12.5, 1250,
    ])
  })
})

it('finds words that hurt, and shouting', () => {
  expect(said('As I already told you, that is your own fault.')).toEqual([
    'As I already told you',
    'your own fault',
  ])
  expect(said('C’est votre faute, madame.')).toEqual(['votre faute'])
  expect(said('PLEASE READ THE TERMS BEFORE YOU BOOK!')).toEqual(['PLEASE READ THE TERMS BEFORE YOU BOOK!'])
  expect(kinds('We are sorry, it was our fault. The MV PETREL sails at 10.')).toEqual([])
})

describe('a question that nothing is said to', () => {
  const asked = (...texts: string[]) => ({ asked: texts.map((text) => ({ text, language: 'en' })) })
  it.each([
    ['Is the late boat running?', 'We are looking into it.', ['Is the late boat running?']],
    ['Is the late boat running?', 'Yes, until midnight.', []],
    ['Is the late boat running?', 'The late one sails on Fridays.', []],
    ['When does the galley open?', 'At 9:30.', []],
    ['Is there a fare for groups?', 'Ten and more travel for the price of nine.', []],
    ['Do you lend umbrellas?', 'We do, at every desk.', []],
    ['Do you lend umbrellas?', 'We do our best every day.', ['Do you lend umbrellas?']],
    ['Nice trip. Do you take dogs? And are bicycles free?', 'Dogs are welcome.', ['And are bicycles free?']],
    [
      'Why was nobody told? I waited for an hour.',
      'Thank you for your kind words!',
      ['Why was nobody told?'],
    ],
    ['Lovely day. How are you?', 'Thank you for your words', []],
  ])('%s: %s', (theirs, ours, expected) => {
    expect(said(ours, asked(theirs))).toEqual(expected)
  })
})

it('knows the same words as the last answer to this person', () => {
  const last = 'We are sorry that the Petrel was late on Sunday, and thank you for telling us.'
  expect(doubts(last, { last })).toEqual([{ kind: 'repeated', likeness: 1 }])
  expect(
    kinds('We are sorry that the Petrel was late on Sunday, and thank you for telling us!', { last }),
  ).toEqual(['repeated'])
  expect(
    kinds('The gate was dark all weekend, and we should have sent somebody down the lane.', { last }),
  ).toEqual([])
  expect(kinds('Thank you!', { last: 'Thank you!' })).toEqual([])
})

it('reads any text, quickly, and names places that are in it', () => {
  const texts = hostileTexts(400).map(({ text }) => text)
  const check = (text: string) => {
    for (const each of doubts(
      text,
      { asked: [{ text, language: 'fr' }], last: text },
      { public: true, language: 'en' },
    ))
      if ('start' in each) expect(text.slice(each.start, each.end)).toBe(each.words)
  }
  texts.forEach(check)
  fc.assert(fc.property(fc.string({ unit: 'binary', maxLength: 300 }), check))
  const long = 'Dear {name}, 07700 900142 and £120 refund? '.repeat(1500)
  const began = performance.now()
  check(long.slice(0, 30_000))
  const half = performance.now() - began
  check(long.slice(0, 60_000))
  expect(performance.now() - began - half).toBeLessThan(Math.max(half * 6, 4000))
})
