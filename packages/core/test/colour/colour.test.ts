import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { asText, contrast, inkOn, readable, shadesOf, washOf } from '../../src/colour/index.ts'

const colours = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`)

describe('contrast', () => {
  // Worked examples of the formula of WCAG 2.2.
  test.each([
    ['#000000', '#ffffff', 21],
    ['#ffffff', '#ffffff', 1],
    ['#777777', '#ffffff', 4.48],
    ['#767676', '#ffffff', 4.54],
    ['#ff0000', '#ffffff', 4.0],
    ['#0000ff', '#ffffff', 8.59],
  ])('%s on %s is %f', (one, other, expected) => {
    expect(contrast(one, other)).toBeCloseTo(expected, 1)
    expect(contrast(other, one)).toBe(contrast(one, other))
  })
  test.each(['red', '#fff', '#12345g', '', 'javascript:x'])('%j is no colour', (text) =>
    expect(() => contrast(text, '#ffffff')).toThrow(RangeError),
  )
})

test('whatever the colour, what stands on it, in it and on its wash can be read', () => {
  fc.assert(
    fc.property(colours, (colour) => {
      expect(contrast(inkOn(colour), colour)).toBeGreaterThanOrEqual(readable)
      expect(contrast(asText(colour), '#ffffff')).toBeGreaterThanOrEqual(readable)
      expect(contrast(asText(colour, washOf(colour)), washOf(colour))).toBeGreaterThanOrEqual(readable)
      const { fill, onFill, text, wash } = shadesOf(colour)
      for (const [ink, ground] of [
        [onFill, fill],
        [text, wash],
        [text, '#ffffff'],
      ] as const)
        expect(contrast(ink, ground)).toBeGreaterThanOrEqual(readable)
      if (contrast(colour, '#ffffff') >= readable) expect(asText(colour)).toBe(colour)
    }),
    { numRuns: 2000 },
  )
})
