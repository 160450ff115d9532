import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  distinctiveNumbered,
  countPhrases,
  hasContentWord,
  distinctivePhrases,
  WordNumbers,
  wordsOfKey,
} from '@murrabel/core/phrases'
import { phrasePlaces, placedWords } from '@murrabel/core/text'

const docs = (texts: string[], from = 1) => texts.map((text, i) => ({ id: from + i, text }))

describe('placed words', () => {
  test.each([
    [
      "Skerrivane's café",
      [
        ['skerrivane', 1],
        ['s', 2],
        ['cafe', 3],
      ],
    ],
    [
      'late. Again',
      [
        ['late', 1],
        ['again', 3],
      ],
    ],
    [
      '#DogsOnDeck @skerry_fan',
      [
        ['dogsondeck', 1],
        ['skerry', 2],
        ['fan', 3],
      ],
    ],
    [
      'a - b',
      [
        ['a', 1],
        ['b', 2],
      ],
    ],
    [
      'see orrin.example/x now',
      [
        ['see', 1],
        ['orrin.example/x', 3],
        ['now', 5],
      ],
    ],
    ['', []],
  ])('%s', (text, words) =>
    expect(placedWords(text).map(({ word, position }) => [word, position])).toEqual(words),
  )

  test('offsets lead back into the text, and positions rise', () =>
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', maxLength: 80 }), (text) => {
        let last = 0
        for (const { position, start, end } of placedWords(text)) {
          expect(position).toBeGreaterThan(last)
          expect(start).toBeGreaterThanOrEqual(0)
          expect(end).toBeLessThanOrEqual(text.length)
          last = position
        }
      }),
    ))

  test('a phrase is found where its words stand side by side', () => {
    const text = 'Not sailing. Not, sailing; NOT SAILING'
    expect(phrasePlaces(placedWords(text), ['not', 'sailing'])).toEqual([
      { start: 0, end: 11 },
      { start: 27, end: 38 },
    ])
    expect(phrasePlaces(placedWords(text), [])).toEqual([])
  })
})

describe('counting', () => {
  test('in documents, one to three words, none over a mark', () => {
    const numbers = new WordNumbers()
    const counts = countPhrases(
      ['the boat is late, the boat is late', 'the boat. Is late'].map((t) => numbers.number(t)),
    )
    const named = Object.fromEntries(
      [...counts].map(([key, n]) => [wordsOfKey(key, numbers.words).join(' '), n]),
    )
    expect(named).toEqual({
      the: 2,
      boat: 2,
      is: 2,
      late: 2,
      'the boat': 2,
      'boat is': 1,
      'is late': 2,
      'the boat is': 1,
      'boat is late': 1,
    })
  })
  test('with a minimum finds what a full count would leave of it', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.array(fc.constantFrom('a', 'b', 'c', 'd', '.'), { maxLength: 12 }).map((w) => w.join(' ')),
          { maxLength: 12 },
        ),
        fc.integer({ min: 1, max: 4 }),
        (texts, minimum) => {
          const numbers = new WordNumbers()
          const numbered = texts.map((t) => numbers.number(t))
          const all = new Map([...countPhrases(numbered)].filter(([, n]) => n >= minimum))
          expect(countPhrases(numbered, { minimum })).toEqual(all)
        },
      ),
    ))
  test.each([
    [['not', 'sailing'], true],
    [['sailing', 'not'], false],
    [['the', 'queue'], false],
    [['queue'], true],
    [['nobody', 'told'], true],
    [['told'], false],
    [['they', 'say'], false],
    [['say', 'sorry'], true],
    [['quelqu'], false],
    [['12'], false],
    [['x'], false],
    [['car', 'deck'], true],
    [['la', 'traversee'], false],
  ])('%j is worth distinctive: %s', (words, worth) => expect(hasContentWord(words)).toBe(worth))
})

describe('telling phrases', () => {
  const back = docs(
    Array.from({ length: 200 }, (_, i) => `A calm crossing number ${i} with the crew and a good galley`),
    1000,
  )
  const front = docs([
    ...Array.from({ length: 30 }, (_, i) => `The boat is not sailing on day ${i} and the crew is kind`),
    ...Array.from({ length: 20 }, (_, i) => `A calm crossing number ${i} with the crew`),
  ])

  test('the phrase that is new leads; what is usual does not show', () => {
    const found = distinctivePhrases(front, back)
    expect(found[0]!.words).toEqual(['not', 'sailing'])
    expect(found[0]).toMatchObject({ count: 30, before: 0 })
    expect(found[0]!.entries).toEqual(front.slice(0, 30).map((d) => d.id))
    expect(found.map((p) => p.words.join(' '))).not.toContain('crew')
  })
  test('of phrases that say the same one stays', () => {
    const words = distinctivePhrases(front, back).map((p) => p.words.join(' '))
    expect(words).not.toContain('sailing')
    expect(new Set(words).size).toBe(words.length)
  })
  test('the count is that of the entries it names', () => {
    for (const { words, count, entries } of distinctivePhrases(front, back)) {
      const holding = front.filter(({ text }) => phrasePlaces(placedWords(text), words).length > 0)
      expect(entries).toEqual(holding.map((d) => d.id))
      expect(count).toBe(entries.length)
    }
  })
  test('phrases that are equal stand as they are met, whatever was read before', () => {
    const said = ['the ramp stood open', 'a lamp burnt out', 'two gulls sat down', 'one rope came loose']
    const equal = docs([
      ...Array.from({ length: 12 }, () => said.join('. ')),
      ...Array.from({ length: 20 }, (_, i) => `A calm crossing number ${i} with the crew`),
    ])
    const order = (before: string[]) => {
      const numbers = new WordNumbers()
      for (const text of before) numbers.number(text)
      const numbered = (of: typeof equal) => of.map(({ text }) => numbers.number(text))
      return distinctiveNumbered(
        { docs: numbered(equal), ids: equal.map(({ id }) => id) },
        { docs: numbered(back) },
        numbers,
      ).map(({ words }) => words.join(' '))
    }
    const usual = order([])
    expect(usual.length).toBeGreaterThan(2)
    expect(order(['loose came rope', 'down sat gulls', 'out burnt lamp'])).toEqual(usual)
  })
  test('words that were asked for are not told', () =>
    expect(distinctivePhrases(front, back, { without: ['not', 'sailing'] })[0]?.words).not.toEqual([
      'not',
      'sailing',
    ]))
  test.each([
    ['nothing', [], back],
    ['nothing before', front, []],
    ['the same twice', back, back.map((d) => ({ ...d, id: d.id + 5000 }))],
  ])('%s', (name, one, two) => {
    const found = distinctivePhrases(one, two)
    if (name !== 'nothing before') expect(found).toEqual([])
    expect(found.every((p) => Number.isFinite(p.z))).toBe(true)
  })
})
