import { describe, expect, test } from 'vitest'
import { listLanguages, readByLists } from '../../../src/sentiment/lists/readByLists.ts'

const raw = (text: string, language = 'en') => readByLists(text, { language }).raw
const sentiment = (text: string, language = 'en') => readByLists(text, { language }).sentiment

describe('negation', () => {
  test.each([
    ['The crew was kind', 'The crew was not kind'],
    ['A comfortable seat', 'By no means a comfortable seat'],
    ['I enjoyed it', 'I did not really enjoy it'],
    ['It works', 'It does not work'],
    ['They answered', 'They never answered'],
  ])('"%s" is better than "%s"', (plain, denied) => {
    expect(raw(denied)).toBeLessThan(Math.min(raw(plain), 0))
  })
  test('the denial of something bad is milder than praise', () => {
    expect(raw('not terrible')).toBeGreaterThan(0)
    expect(raw('not terrible')).toBeLessThan(raw('wonderful'))
  })
  test('a denial ends at a comma and at "but"', () => {
    expect(sentiment('Not the newest boat, the crew is wonderful')).toBe('positive')
    expect(sentiment('It is not cheap but it is wonderful')).toBe('positive')
  })
  test('it goes on across "or" and "and"', () => {
    expect(sentiment('The staff was not friendly or helpful')).toBe('negative')
  })
  test('"never" with a comparison praises, "nothing but" stresses', () => {
    expect(sentiment('I have never had a better crossing')).toBe('positive')
    expect(sentiment('Nothing but kindness from the crew')).toBe('positive')
    expect(sentiment('We could not have been happier')).toBe('positive')
  })
})

describe('degree', () => {
  test.each([
    ['very good', 'good'],
    ['extremely good', 'very good'],
    ['good', 'fairly good'],
    ['REALLY good', 'good'],
    ['good!!!', 'good'],
    ['good!', 'good.'],
    ['soooo good', 'good'],
  ])('"%s" weighs more than "%s"', (more, less) => expect(raw(more)).toBeGreaterThan(raw(less)))
  test.each([
    ['too salty', 'negative'],
    ['too small', 'negative'],
    ['big enough for two', 'positive'],
    ['not loud enough', 'negative'],
  ])('"%s" is %s', (text, expected) => expect(sentiment(text)).toBe(expected))
})

describe('contrast and concession', () => {
  test('what follows "but" decides', () => {
    expect(sentiment('The boat is old but the crew is wonderful')).toBe('positive')
    expect(sentiment('The crew is wonderful but the boat is filthy')).toBe('negative')
  })
  test('what follows "although" weighs less', () => {
    expect(raw('Wonderful, although late')).toBeGreaterThan(raw('Wonderful, late'))
  })
})

describe('questions, wishes, irony', () => {
  test.each(['Is it any good?', 'Is the galley nice in winter?'])('"%s" judges nothing', (text) => {
    expect(sentiment(text)).toBe('neutral')
  })
  test.each([
    'I wish the seats were comfortable',
    'A kind word would have been nice',
    'The boat needs to be cleaner',
    'Great, another cancellation',
    'Lovely service as always 🙄',
  ])('"%s" is no praise', (text) => expect(raw(text)).toBeLessThanOrEqual(0.01))
})

describe('words whose say depends on their neighbours', () => {
  test.each([
    ['I like it', 'positive'],
    ['It looks like rain', 'neutral'],
    ['The crew was very kind', 'positive'],
    ['It is a kind of barge', 'neutral'],
    ['The harbour is pretty', 'positive'],
    ['There are better boats', 'negative'],
    ['This boat is better', 'positive'],
    ['cheap plastic', 'negative'],
  ])('"%s" is %s', (text, expected) => expect(sentiment(text)).toBe(expected))
})

describe('forms that no list has', () => {
  test.each([
    ['the tastiest soup', 1],
    ['unhelpfully slow', -1],
    ['his friendliness', 1],
    ['an unfriendly gate', -1],
    ['delightfully quick', 1],
  ])('%s', (text, sign) => expect(Math.sign(raw(text))).toBe(sign))
})

describe('spans', () => {
  test('mark the words of the untouched text', () => {
    const text = 'The CREW were sooo kind, but Maren was rude 😡'
    const { spans } = readByLists(text)
    expect(spans.map((s) => [text.slice(s.start, s.end), Math.sign(s.contribution)])).toEqual([
      ['kind', 1],
      ['rude', -1],
      ['😡', -1],
    ])
  })
  test('a set phrase is one span', () => {
    const text = 'They went the extra mile for us'
    expect(readByLists(text).spans.map((s) => text.slice(s.start, s.end))).toEqual(['extra mile'])
  })
  test('a link, an address and a handle say nothing', () => {
    expect(readByLists('www.awful.example @terrible ness@horrible.example').spans).toEqual([])
  })
})

test('confidence grows with what there is to go by and falls with contradiction', () => {
  const confidence = (text: string) => readByLists(text).confidence
  expect(confidence('Wonderful, kind, superb')).toBeGreaterThan(confidence('good'))
  expect(confidence('Wonderful but awful')).toBeLessThan(confidence('Wonderful and superb'))
})

describe('other languages', () => {
  test('are those that are read in full', () => expect(listLanguages).toEqual(['en', 'fr', 'es', 'de']))
  test.each([
    ['fr', 'Le personnel est très aimable', 'Le personnel n’est pas aimable'],
    ['fr', 'La soupe était bonne', 'La soupe n’était pas bonne'],
    ['es', 'El personal es amable', 'El personal no es amable'],
    ['es', 'Todo limpio y bonito', 'Nada limpio ni bonito'],
    ['de', 'Das Schiff war sauber', 'Das Schiff war nicht sauber'],
    ['de', 'Ich empfehle es', 'Ich empfehle es nicht'],
  ])('%s: "%s" is better than "%s"', (language, plain, denied) => {
    expect(sentiment(plain, language)).toBe('positive')
    expect(raw(denied, language)).toBeLessThan(raw(plain, language))
    expect(sentiment(denied, language)).not.toBe('positive')
  })
  test('a region makes no difference', () => expect(sentiment('Magnifique', 'fr-CA')).toBe('positive'))
  test('a language that is not read is told by its emoji alone', () => {
    expect(readByLists('fantastisk tur 😍', { language: 'da' }).spans).toHaveLength(1)
    expect(sentiment('fantastisk tur', 'da')).toBe('unread')
    expect(sentiment('', 'en')).toBe('unread')
  })
})
