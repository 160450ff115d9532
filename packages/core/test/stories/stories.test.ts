import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { bands, distance, simHash, stories, storyDistance } from '@murrabel/core/stories'
import { placedWords } from '@murrabel/core/text'

const words = (text: string) => placedWords(text).map((w) => w.word)
const news =
  'The ferry Storm Petrel of Skerrivane Ferries lost its engine off Dunmarrow on its evening crossing and was towed in four hours late. About three hundred passengers were on board. Passengers complained that nobody told them what had happened. All sailings from Dunmarrow were cancelled for the following day.'
const half = fc.integer({ min: 0, max: 0xffffffff })
const hash = fc.record({ high: half, low: half })

describe('fingerprints', () => {
  test('agree in a band whenever they are as near as copies', () =>
    fc.assert(
      fc.property(
        hash,
        fc.uniqueArray(fc.integer({ min: 0, max: 63 }), { maxLength: storyDistance }),
        (one, flips) => {
          const two = { ...one }
          for (const bit of flips) {
            if (bit < 32) two.low = (two.low ^ (1 << bit)) >>> 0
            else two.high = (two.high ^ (1 << (bit - 32))) >>> 0
          }
          expect(distance(one, two)).toBe(flips.length)
          const known = new Set(bands(one))
          expect(bands(two).some((band) => known.has(band))).toBe(true)
        },
      ),
    ))
  test('short texts have none', () => expect(simHash(words('Thanks for a lovely crossing today'))).toBeNull())
})

describe('stories', () => {
  const id = (texts: string[]) => stories(texts.map((text, i) => ({ id: i + 1, words: words(text) })))
  test.each([
    ['word for word', news],
    ['with a headline before it', `Ferry loses engine. ${news}`],
    ['with a line cut', news.replace(' About three hundred passengers were on board.', '')],
    ['with other capitals and marks', news.toUpperCase().replace(/\./g, ' -')],
    ['with a word changed', news.replace('evening', 'late')],
  ])('a copy %s is the same story', (_, copy) => expect(id([news, copy])).toEqual([[1, 2]]))
  test.each([
    [
      'about the same thing in other words',
      'Passengers of the Storm Petrel spent four hours without news when the engine gave up near Dunmarrow, and many of them say that they will not come back to Skerrivane this winter.',
    ],
    [
      'of another day',
      'The ferry Grey Heron of Skerrivane Ferries was cheered into Port Ellery on its first crossing of the year. About two hundred passengers were on board, and a piper played.',
    ],
  ])('a text %s is not', (_, other) => expect(id([news, other])).toEqual([]))
  test('seven copies among other texts are one story', () => {
    const others = Array.from(
      { length: 50 },
      (_, i) =>
        `On day ${i} we went over to island ${i * 7} with ${i} friends, saw ${i * 3} seals and came home by boat ${i % 5}`,
    )
    const texts = others.flatMap((text, i) => (i % 7 === 0 && i < 49 ? [text, news] : [text]))
    const found = id(texts).find((group) => group.length === 7)
    expect(found?.map((n) => texts[n - 1])).toEqual(Array.from({ length: 7 }, () => news))
  })
})
