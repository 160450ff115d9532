import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { searchPlaces } from '@murrabel/core/lens'
import { excerpt } from '../src/parts/excerpt.ts'

const long =
  'The boat was late again and nobody at the gate could say a word about why, so we asked for a refund.'

describe('the part of a text that a row shows', () => {
  test('begins at the beginning where nothing is marked, or the mark is seen anyway', () => {
    expect(excerpt(long, [])).toEqual({ text: long, marks: [] })
    expect(excerpt(long, [{ start: 4, end: 8 }]).text).toBe(long)
  })
  test('begins a few words before a mark that would be cut off', () => {
    const { text, marks } = excerpt(long, searchPlaces(long, { words: 'refund', phrase: '' }))
    expect(text).toBe('… at the gate could say a word about why, so we asked for a refund.')
    expect(marks.map(({ start, end }) => text.slice(start, end))).toEqual(['refund'])
  })
  test('marks stand on the same words, wherever they are', () => {
    fc.assert(
      fc.property(
        fc.array(fc.stringMatching(/^[a-z]{1,12}$/), { minLength: 1, maxLength: 60 }),
        fc.nat(),
        (words, at) => {
          const wanted = words[at % words.length]!
          const whole = words.join(' ')
          const found = searchPlaces(whole, { words: wanted, phrase: '' })
          const { text, marks } = excerpt(whole, found)
          expect(marks.map(({ start, end }) => text.slice(start, end))).toEqual(
            found.map(({ start, end }) => whole.slice(start, end)),
          )
          expect(marks[0]!.end).toBeLessThanOrEqual(90)
        },
      ),
    )
  })
})
