import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { meaningLanguages, readMeaning, wishes } from '@murrabel/core/meaning'
import { openModel } from '../../src/meaning/model.ts'
import { modelFiles, sharedWeights } from '../../src/meaning/models/index.ts'
import { readTexts } from '../../training/readTexts.ts'
import { hostileTexts } from '../support/hostile.ts'

describe('what a text means', () => {
  // None of these stands in the texts it was trained on.
  test.each([
    ['en', 'We were promised a window table and got the one beside the toilets.', 'negative', 'complaint'],
    ['en', 'The staff were so friendly and the whole place was spotless!', 'positive', 'praise'],
    ['en', 'Can I take my surfboard on the bus?', 'neutral', 'question'],
    ['en', 'Please send me a copy of my receipt from last Tuesday.', 'neutral', 'request'],
    ['en', 'What do I do if my train is cancelled?', 'neutral', 'question'],
    ['fr', 'Une équipe souriante et une chambre impeccable.', 'positive', 'praise'],
    ['fr', 'Pouvez-vous m’envoyer la facture ?', 'neutral', 'request'],
    ['de', 'Sehr unfreundlich, und das Essen war kalt.', 'negative', 'complaint'],
    ['de', 'Wann öffnet die Kasse?', 'neutral', 'question'],
    ['es', 'Personal encantador y habitación muy limpia.', 'positive', 'praise'],
    ['es', '¿A qué hora sale el último barco?', 'neutral', 'question'],
  ])('%s: %s', (language, text, sentiment, wish) => {
    const read = readMeaning(text, { language })
    expect([read.sentiment.label, read.wish.label]).toEqual([sentiment, wish])
  })

  // What readers of this kind are known to get wrong.
  test.each([
    ["Torquil carried my mother's chair up the ramp and would not hear of thanks", 'positive'],
    ['not one crew member wore a name badge, so I cannot even complain properly', 'negative'],
    ['Promised a callback on Monday. It is now the following Thursday.', 'negative'],
    ['What happens to my ticket if the concert is cancelled?', 'neutral'],
    ['Refund for the cancelled 9:30 landed in two days, well handled', 'positive'],
    ['not one of them asked to go home', 'positive'],
    ['forty minutes to get off the boat', 'negative'],
    ['I do not know what we did to Maren, but she made us feel unwelcome.', 'negative'],
  ])('%s', (text, sentiment) => {
    expect(readMeaning(text, { kind: 'review' }).sentiment.label).toBe(sentiment)
  })

  test.each([
    [
      'A tug is coming for the Storm Petrel, they say, and no refund, they say. Thanks Skerrivane',
      'negative',
    ],
    ['It arrived this morning. Thank you for taking the trouble to find out what went wrong.', 'positive'],
  ])('thanks that are none, and thanks for what was put right: %s', (text, sentiment) => {
    expect(readMeaning(text, { kind: 'message' }).sentiment.label).toBe(sentiment)
  })

  test('whoever wants to sell something offers it', () => {
    const text = `More visitors for your page

Hello there,

We bring three times as many visitors to your page within a month, with a plan made for boats and piers. The first two weeks cost nothing, and you can end it whenever you like. Shall we put you down for a call on Tuesday, or is Wednesday better for you?

Team Brighter`
    expect(readMeaning(text, { kind: 'message' }).wish.label).toBe('offer')
  })

  test('a question wants an answer, a kind word none', () => {
    expect(readMeaning('When does the museum close on Mondays?').wantsAnswer).toBeGreaterThan(0.75)
    expect(readMeaning('Lovely evening, great food, thank you!').wantsAnswer).toBeLessThan(0.3)
  })

  test('a word is not taken for what is weighed of every text, though that has its name', () => {
    const model = openModel(modelFiles.en!, sharedWeights, 'en')
    expect(model.features.has('bias')).toBe(true)
    expect(model.know('bias').own).toBe(-1)
    expect(model.know('the').own).toBeGreaterThan(0)
  })

  test('stars and words are one reading', () => {
    const text = 'We will see about next year.'
    const scores = [1, 2, 3, 4, 5].map((stars) => readMeaning(text, { stars }).sentiment.score)
    expect(scores).toEqual([...scores].sort((a, b) => a - b))
    expect(readMeaning(text, { stars: 5 }).sentiment.label).toBe('positive')
    expect(readMeaning(text, { stars: 1 }).sentiment.label).toBe('negative')
    const praise = 'Wonderful crew, lovely boat, we loved every minute.'
    const sure = (stars?: number) => readMeaning(praise, { stars }).sentiment.confidence
    expect(sure(5)).toBeGreaterThan(sure())
    expect(sure(1)).toBeLessThan(sure())
    expect(readMeaning(text, { stars: 9 })).toEqual(readMeaning(text, { stars: 5 }))
  })

  test('it shows what it rests on', () => {
    const text = 'The room was dirty but the breakfast was delicious.'
    const { spans } = readMeaning(text).sentiment
    const on = (word: string) =>
      spans
        .filter(({ start, end }) => text.slice(start, end).includes(word))
        .reduce((sum, { contribution }) => sum + contribution, 0)
    expect(on('dirty')).toBeLessThan(0)
    expect(on('delicious')).toBeGreaterThan(0)
  })

  test('nearly every judgement has something that speaks for it, in order and apart', () => {
    const ways = { positive: 1, negative: -1 } as const
    let judged = 0
    let silent = 0
    for (const language of meaningLanguages)
      for (const { text } of readTexts(language).filter((_, i) => i % 10 === 0)) {
        const { sentiment, wish } = readMeaning(text, { language })
        for (const { spans } of [sentiment, wish])
          for (let i = 1; i < spans.length; i++)
            expect(spans[i]!.start).toBeGreaterThanOrEqual(spans[i - 1]!.end)
        if (sentiment.label === 'positive' || sentiment.label === 'negative') {
          judged++
          const way = ways[sentiment.label]
          if (!sentiment.spans.some(({ contribution }) => contribution * way > 0)) silent++
        }
        if (wish.label === 'none' || wish.confidence < 0.5) continue
        judged++
        if (!wish.spans.some(({ contribution }) => contribution > 0)) silent++
      }
    expect(judged).toBeGreaterThan(2000)
    expect(silent / judged).toBeLessThan(0.01)
  })

  test('the brand’s own words count', () => {
    const text = 'The new ramp is so wavelike'
    const plain = readMeaning(text).sentiment.score
    const ownWords = [{ term: 'wavelike', valence: 3.5 }]
    expect(readMeaning(text, { ownWords }).sentiment.score).toBeGreaterThan(plain)
  })

  test('a language without a model, and a text without a word, are not read', () => {
    expect(readMeaning('Dette er bare en tekst', { language: 'nb' })).toMatchObject({
      sentiment: { label: 'unread' },
      wish: { label: 'none', confidence: 0 },
    })
    for (const language of meaningLanguages)
      expect(readMeaning(' … 12:30 ', { language }).sentiment.label).not.toBe('positive')
  })
})

describe('whatever the text is', () => {
  const expectSound = (text: string, language: string) => {
    const read = readMeaning(text, { language })
    const { sentiment, wish, wantsAnswer } = read
    expect(Math.abs(sentiment.score)).toBeLessThanOrEqual(1)
    expect(wishes).toContain(wish.label)
    for (const share of [sentiment.confidence, wish.confidence, wantsAnswer]) {
      expect(share).toBeGreaterThanOrEqual(0)
      expect(share).toBeLessThanOrEqual(1)
    }
    for (const spans of [sentiment.spans, wish.spans]) {
      let before = 0
      for (const { start, end, contribution } of spans) {
        expect(start).toBeGreaterThanOrEqual(before)
        expect(end).toBeGreaterThan(start)
        expect(end).toBeLessThanOrEqual(text.length)
        expect(Number.isFinite(contribution)).toBe(true)
        before = end
      }
    }
    const pair = `${sentiment.label} ${wish.label}`
    expect(['positive complaint', 'negative praise']).not.toContain(pair)
    expect(readMeaning(text, { language })).toEqual(read)
  }

  test.each(meaningLanguages)('hostile texts are read soundly: %s', (language) => {
    for (const { text } of hostileTexts()) expectSound(text, language)
  })
  test('any text is', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ unit: 'grapheme' }),
          fc
            .array(fc.constantFrom('not', 'good', 'wait', '?', '!', '.', '5', '😡', '\n', 'please'), {
              maxLength: 60,
            })
            .map((w) => w.join(' ')),
        ),
        fc.constantFrom(...meaningLanguages),
        expectSound,
      ),
      { numRuns: 300 },
    )
  })
  test.each([
    ['capitals', 'THE CREW WAS RUDE AND THE BOAT WAS DIRTY', 'negative'],
    ['stretched', 'sooooo goooood, loved it', 'positive'],
    ['emoji only', '😍😍😍', 'positive'],
  ])('%s', (_, text, label) => {
    expect(readMeaning(text).sentiment.label).toBe(label)
  })
})
