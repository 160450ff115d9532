import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { formsOf, nearestTexts, type AskedOnce, type WordCommonness } from '@murrabel/core/replies'
import { searchWords } from '@murrabel/core/lens'

const asked = (text: string, part: Partial<AskedOnce> = {}) => ({
  forms: formsOf(text),
  language: 'en',
  wish: null,
  aspects: [],
  ...part,
})
const once = (text: string, part: Partial<AskedOnce> = {}): AskedOnce => ({
  words: searchWords(text),
  language: 'en',
  wish: null,
  aspects: [],
  ...part,
})
/** How common each form is among these. */
const commonIn = (texts: readonly AskedOnce[], forms: readonly string[]): WordCommonness => ({
  texts: texts.length,
  having: new Map(
    forms.map((form) => [form, texts.filter(({ words }) => words.some((w) => w.startsWith(form))).length]),
  ),
})
const nearest = (now: ReturnType<typeof asked>, texts: AskedOnce[]) =>
  nearestTexts(now, texts, commonIn(texts, now.forms))

const past = [
  'Can I take two dogs on deck in January?',
  'Is the café open on the early crossing?',
  'How do I change the car on my booking?',
  'Are dogs allowed in the lounge, or only on deck?',
  'When does the winter timetable begin?',
  'My booking shows the wrong car, can it be changed?',
  'The crossing was cancelled, where is my refund?',
].map((text) => once(text))

describe('the nearest', () => {
  test.each([
    ['May my dog come on deck?', [0, 3]],
    ['I need to change the car of a booking', [2, 5]],
    ['Refund for cancelled crossings', [6]],
  ])('to %j are %j', (text, expected) => {
    expect(
      nearest(asked(text), past)
        .slice(0, expected.length)
        .map(({ index }) => index)
        .sort(),
    ).toEqual(expected)
  })

  test.each(['thank you', '', '🙂', 'the and of', 'Purple elephants recite poetry'])(
    'to %j is none',
    (text) => {
      expect(nearest(asked(text), past)).toEqual([])
    },
  )

  test('stands in the same language first, then speaks of the same aspects', () => {
    const texts = ['fr', 'en', 'en'].map((language, i) =>
      once('refund voucher ferry', { language, aspects: i === 2 ? ['price'] : ['crew'] }),
    )
    const found = nearest(asked('refund voucher ferry', { aspects: ['price'] }), [...texts, ...past])
    expect(found.slice(0, 3).map(({ index }) => index)).toEqual([2, 1, 0])
  })

  test('names what is shared, the rarest first', () => {
    const [found] = nearest(asked('dogs on deck in January'), past)
    expect(found!.shared[0]).toBe('janua')
    expect(found!.shared).toContain('dogs')
  })
})

const words = fc.array(
  fc.constantFrom(...'gate berth queue tide lamp rope anchor galley funnel hatch'.split(' ')),
  {
    minLength: 2,
    maxLength: 8,
  },
)
test('a text itself is never beaten by another, and nothing is near to words that no text has', () => {
  fc.assert(
    fc.property(words, fc.array(words, { maxLength: 20 }), (own, others) => {
      const texts = [once(own.join(' ')), ...others.map((other) => once(other.join(' ')))]
      const found = nearest(asked(own.join(' ')), texts)
      const self = found.find(({ index }) => index === 0)
      const [best] = found
      // One of the same words in fewer others may be shorter, never nearer by what it shares.
      if (self) expect(best!.shared.length).toBeGreaterThanOrEqual(1)
      for (const { score, shared } of found) {
        expect(score).toBeGreaterThan(0)
        expect(score).toBeLessThan(1.4)
        expect(shared.every((form) => formsOf(own.join(' ')).includes(form))).toBe(true)
      }
      if (self) expect(self.shared.length).toBe(formsOf(own.join(' ')).length)
      expect(nearest(asked('xylophone zeppelin'), texts)).toEqual([])
    }),
    { numRuns: 200 },
  )
})

test('among texts of chance, hardly any is told as near', () => {
  let seed = 7
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647
  // As words of a language: few are common, most are rare.
  const word = () => `w${Math.floor(2000 * random() ** 3)}x`
  const text = () => once(Array.from({ length: 14 }, word).join(' '))
  const texts = Array.from({ length: 1500 }, text)
  const told = Array.from({ length: 40 }, () => {
    const now = asked(Array.from({ length: 14 }, word).join(' '))
    return nearest(now, texts).length
  })
  expect(told.reduce((a, n) => a + n, 0) / told.length).toBeLessThan(0.3)
})
