import { expect, test } from 'vitest'
import { readAspects, readSentiment, sentimentOfAspects, starsContradict } from '@murrabel/core/sentiment'

test.each([
  ['en', 'positive', 'The crew could not have been kinder to my mother.'],
  ['en', 'negative', 'The room was filthy and nobody cared.'],
  ['fr', 'positive', 'Merci pour ce beau voyage, le personnel est adorable.'],
  ['fr', 'negative', 'Chambre sale et personnel désagréable.'],
  ['es', 'positive', 'Tripulación muy amable y barco limpio.'],
  ['de', 'negative', 'Leider unfreundlich und viel zu teuer.'],
  ['ja', 'positive', '最高 😍'],
  ['ja', 'unread', 'こんにちは'],
  ['fi', 'unread', 'Hyvä laiva'],
  ['en', 'unread', '...'],
  ['en-GB', 'positive', 'Lovely'],
])('%s %s: %s', (language, sentiment, text) => {
  const reading = readSentiment(text, { language })
  expect(reading.sentiment).toBe(sentiment)
  expect(reading.shares.reduce((a, b) => a + b)).toBeCloseTo(1, 9)
})

test('stars alone tell the sentiment where no word is read', () => {
  expect([1, 2, 3, 4, 5].map((stars) => readSentiment('', { stars }).sentiment)).toEqual([
    'negative',
    'negative',
    'neutral',
    'positive',
    'positive',
  ])
  expect(readSentiment('Hyvä laiva', { language: 'fi', stars: 5 }).sentiment).toBe('positive')
})

test('own words go over the model: a word that is worth nothing has no say, one that is worth much decides', () => {
  const text = 'Took the Storm Petrel today'
  const of = (valence: number) => readSentiment(text, { ownWords: [{ term: 'storm petrel', valence }] })
  expect([-3, 3].map((valence) => of(valence).sentiment)).toEqual(['negative', 'positive'])
  const on = (valence: number) =>
    of(valence)
      .spans.filter(({ start, end }) => start < 21 && end > 9)
      .reduce((sum, { contribution }) => sum + contribution, 0)
  expect(on(0)).toBe(0)
  expect(on(2)).toBeGreaterThan(1)
  const windy = 'An awful, awful wind'
  const score = (ownWords: { term: string; valence: number }[]) => readSentiment(windy, { ownWords }).score
  expect(score([{ term: 'awful', valence: 0 }])).toBeGreaterThan(score([]) + 0.1)
})

test('aspects are read in their own clause', () => {
  const aspects = [
    { id: 'crew', terms: [{ text: 'crew' }, { text: 'staff' }] },
    { id: 'price', terms: [{ text: 'price', prefix: true }] },
  ]
  const readings = readAspects('The crew was kind, but the prices are a rip off.', aspects, {
    language: 'en',
  })
  expect(sentimentOfAspects(readings)).toEqual([
    { aspect: 'crew', sentiment: 'positive' },
    { aspect: 'price', sentiment: 'negative' },
  ])
})

test.each([
  [1, 'Wonderful crew, lovely crossing', true],
  [5, 'Horrible food and rude staff', true],
  [5, 'Lovely', false],
  [3, 'Lovely crossing', false],
])('%i stars and "%s" contradict: %s', (rating, text, expected) => {
  expect(starsContradict(rating, readSentiment(text))).toBe(expected)
})
