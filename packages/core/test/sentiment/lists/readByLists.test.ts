import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { readByLists } from '../../../src/sentiment/lists/readByLists.ts'
import { gladSentences, unhappySentences } from '../development/broad.ts'
import { constructedSentences, sentencesByConstruction } from '../development/byConstruction.ts'
import { secondLanguageSentences } from '../development/secondLanguages.ts'
import { developmentSentences, plainSentences } from '../development/sentences.ts'

describe('readByLists on the development sentences', () => {
  const readings = developmentSentences.map(([construction, sentiment, text]) => ({
    construction,
    text,
    right: readByLists(text, { language: 'en' }).sentiment === sentiment,
    called: !['neutral', 'unread'].includes(readByLists(text, { language: 'en' }).sentiment),
  }))

  test('at least 0.9 are right when every one must be called', () => {
    const wrong = readings.filter((r) => !r.right)
    expect(
      wrong.length / readings.length,
      wrong.map((r) => `${r.construction}: ${r.text}`).join('\n'),
    ).toBeLessThanOrEqual(0.1)
  })

  test('at least 0.95 of those called are right', () => {
    const called = readings.filter((r) => r.called)
    expect(called.filter((r) => r.right).length / called.length).toBeGreaterThanOrEqual(0.95)
  })

  test.each(plainSentences)('judges nothing in: %s', (text) => {
    expect(readByLists(text, { language: 'en' }).sentiment).toBe('neutral')
  })
})

test('of broader sentences at least 0.85 are right, and 0.95 of those that are called', () => {
  const labels = [
    ...gladSentences.map((t) => ['positive', t] as const),
    ...unhappySentences.map((t) => ['negative', t] as const),
  ]
  const read = labels.map(([expected, text]) => ({
    expected,
    text,
    sentiment: readByLists(text, { language: 'en' }).sentiment,
  }))
  const wrong = read.filter((r) => r.sentiment !== r.expected)
  expect(
    wrong.length / read.length,
    wrong.map((r) => `${r.sentiment}: ${r.text}`).join('\n'),
  ).toBeLessThanOrEqual(0.15)
  const called = read.filter((r) => r.sentiment === 'positive' || r.sentiment === 'negative')
  expect(called.filter((r) => r.sentiment === r.expected).length / called.length).toBeGreaterThanOrEqual(0.95)
})

describe('by construction', () => {
  const read = constructedSentences.map((row) => ({
    ...row,
    found: readByLists(row.text, { language: 'en' }).sentiment,
  }))
  test.each(Object.keys(sentencesByConstruction))('%s: at least 0.8 are right', (construction) => {
    const own = read.filter((row) => row.construction === construction)
    const wrong = own.filter((row) => row.found !== row.sentiment)
    expect(
      wrong.length / own.length,
      wrong.map((row) => `${row.found}: ${row.text}`).join('\n'),
    ).toBeLessThanOrEqual(0.2)
  })
  test.each(['fr', 'es', 'de'])('%s: at least 0.9 are right', (language) => {
    const own = secondLanguageSentences.filter((row) => row.language === language)
    const wrong = own.filter((row) => readByLists(row.text, { language }).sentiment !== row.sentiment)
    expect(wrong.length / own.length, wrong.map((row) => row.text).join('\n')).toBeLessThanOrEqual(0.1)
  })
})

describe('readByLists in other languages', () => {
  test.each([
    ['fr', 'positive', 'Merci pour ce beau voyage, le personnel est adorable.'],
    ['fr', 'negative', "Le personnel n'est pas aimable et le bateau était en retard."],
    ['fr', 'negative', 'Je ne recommande pas.'],
    ['fr', 'positive', 'Vraiment pas mal du tout !'],
    ['es', 'negative', 'No lo recomiendo, nadie nos avisó.'],
    ['es', 'positive', 'Tripulación muy amable y barco limpio.'],
    ['de', 'negative', 'Das gefällt mir nicht.'],
    ['de', 'positive', 'Gar nicht schlecht, immer wieder gerne!'],
    ['de', 'negative', 'Leider unfreundlich und viel zu teuer.'],
    ['ja', 'positive', '最高 😍'],
    ['ja', 'unread', 'こんにちは'],
    ['fi', 'unread', 'Hyvä laiva'],
  ])('%s %s: %s', (language, sentiment, text) => {
    expect(readByLists(text, { language }).sentiment).toBe(sentiment)
  })
})

describe('set phrases that deny', () => {
  test.each([
    ['fr', "Le colis n'est toujours pas là.", 'negative'],
    ['fr', "Ce n'est pas terrible.", 'negative'],
  ])('%s, %s: what denies before them is a part of them', (language, text, sentiment) => {
    expect(readByLists(text, { language }).sentiment).toBe(sentiment)
  })
})

describe('laws of readByLists', () => {
  const words = fc.constantFrom(
    'good',
    'not',
    'bad',
    'very',
    'but',
    'the',
    'crew',
    ',',
    '.',
    '!',
    '😡',
    'never',
    'too',
    'salty',
    'wish',
    '\n',
  )
  const text = fc.array(words, { maxLength: 30 }).map((list) => list.join(' '))

  test('the contributions sum to the raw value, and the score follows from it', () => {
    fc.assert(
      fc.property(text, (t) => {
        const { spans, raw, score } = readByLists(t)
        const sum = spans.reduce((total, s) => total + s.contribution, 0)
        return Math.abs(sum - raw) < 1e-9 && Math.abs(score - raw / Math.sqrt(raw * raw + 15)) < 1e-9
      }),
    )
  })

  test('spans lie in the text, in order', () => {
    fc.assert(
      fc.property(fc.oneof(text, fc.string({ unit: 'grapheme', maxLength: 60 })), (t) => {
        const { spans, confidence } = readByLists(t)
        return (
          confidence >= 0 &&
          confidence <= 1 &&
          spans.every(
            (s, i) => s.start < s.end && s.end <= t.length && (i === 0 || spans[i - 1]!.start <= s.start),
          )
        )
      }),
    )
  })
})

test('own words go over the lists', () => {
  const ownWords = [
    { term: 'wild', valence: 0 },
    { term: 'storm petrel', valence: -2 },
  ]
  expect(readByLists('Took the Storm Petrel today', { ownWords }).sentiment).toBe('negative')
})
