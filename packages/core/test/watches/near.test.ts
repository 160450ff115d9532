import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { Occurrence } from '../../src/watches/automaton.ts'
import { nearest, Places } from '../../src/watches/near.ts'
import { tokenise } from '../../src/text/index.ts'

/** Sentences of "a", "b" and "x", some of them paragraphs of their own. */
const words = fc.array(fc.constantFrom('a', 'b', 'x', 'x', 'a b', 'x.', 'x.', 'x.\n\n'), { maxLength: 60 })

/** Every one-word and two-word occurrence of a term in a text. */
function occurrencesOf(text: string, term: string): Occurrence[] {
  const tokens = tokenise(text).filter(({ kind }) => kind === 'word')
  const parts = term.split(' ')
  return tokens.flatMap((token, i) => {
    const run = tokens.slice(i, i + parts.length)
    return run.map(({ start, end }) => text.slice(start, end)).join(' ') === term
      ? [{ start: token.start, end: run[run.length - 1]!.end, firstWord: i, lastWord: i + parts.length - 1 }]
      : []
  })
}

test('the first pair that is near is what comparing all with all gives', () =>
  fc.assert(
    fc.property(
      words,
      fc.constantFrom('a', 'b', 'a b', 'x'),
      fc.constantFrom('b', 'x', 'a b'),
      fc.constantFrom<number | 'sentence' | 'paragraph'>(1, 2, 5, 20, 'sentence', 'paragraph'),
      (list, one, two, within) => {
        const text = list.join(' ')
        const places = new Places(text, tokenise(text))
        const [first, second] = [occurrencesOf(text, one), occurrencesOf(text, two)]
        const near = (a: Occurrence, b: Occurrence) =>
          typeof within === 'number'
            ? (a.start < b.start ? b.firstWord - a.lastWord : a.firstWord - b.lastWord) <= within
            : places.at(a.start)[within] === places.at(b.start)[within]
        const all = first.flatMap((a) =>
          second.filter((b) => !(a.start < b.end && b.start < a.end) && near(a, b)).map((b) => [a, b]),
        )
        expect(nearest(first, second, within, places)).toEqual(all[0] ?? null)
      },
    ),
    { numRuns: 500 },
  ))

test.each([3, 'sentence'] as const)(
  'within %s twice as many occurrences are looked at about twice as often',
  (within) => {
    let looks = 0
    /** An occurrence that counts how often it is looked at; all of one term first, then all of the other. */
    const at = (word: number): Occurrence =>
      Object.defineProperty(
        { start: word * 8, end: word * 8 + 2, firstWord: word, lastWord: word },
        'start',
        {
          get: () => (looks++, word * 8),
        },
      )
    const looked = (n: number) => {
      looks = 0
      // Far from each other, each in a sentence of its own.
      const text = Array.from({ length: 3 * n }, () => 'Storms. ').join('')
      const list = (from: number) => Array.from({ length: n }, (_, i) => at(from + i))
      expect(nearest(list(0), list(2 * n), within, new Places(text, tokenise(text)))).toBeNull()
      return looks
    }
    expect((looked(2000) + 1) / (looked(1000) + 1)).toBeLessThan(2.5)
  },
)
