import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { rangeAfterKey, type Bars, type RangeEnd } from '../src/parts/tideHandles.ts'

describe('a key at an end of a range', () => {
  test.each<[Bars, string, boolean, RangeEnd, Bars | null]>([
    [[3, 5], 'ArrowRight', false, 'last', [3, 6]],
    [[3, 5], 'ArrowLeft', false, 'first', [2, 5]],
    [[3, 5], 'ArrowUp', false, 'first', [4, 5]],
    [[3, 5], 'ArrowRight', true, 'first', [4, 6]],
    [[5, 5], 'ArrowRight', false, 'first', null],
    [[0, 5], 'ArrowLeft', false, 'first', null],
    [[3, 9], 'ArrowRight', true, 'last', null],
    [[3, 5], 'Home', false, 'first', [0, 5]],
    [[3, 5], 'End', false, 'last', [3, 9]],
    [[3, 5], 'Home', true, 'last', [0, 2]],
    [[3, 5], 'PageUp', false, 'last', [3, 9]],
    [[3, 5], 'Tab', false, 'last', null],
    [[3, 5], 'toString', false, 'last', null],
  ])('%j %s, Shift %j, at the %s bar: %j', (bars, key, shiftKey, end, expected) =>
    expect(rangeAfterKey(bars, 10, { key, shiftKey }, end)).toEqual(expected),
  )

  test('the range stays on the line, in order, and as wide with Shift', () => {
    const keys = ['ArrowLeft', 'ArrowRight', 'PageUp', 'PageDown', 'Home', 'End']
    fc.assert(
      fc.property(
        fc.nat(30),
        fc.nat(30),
        fc.nat(10),
        fc.constantFrom(...keys),
        fc.boolean(),
        fc.constantFrom<RangeEnd>('first', 'last'),
        (a, b, more, key, shiftKey, end) => {
          const bars: Bars = [Math.min(a, b), Math.max(a, b)]
          const count = bars[1] + 1 + more
          const next = rangeAfterKey(bars, count, { key, shiftKey }, end)
          if (!next) return true
          const wide = next[1] - next[0] === bars[1] - bars[0]
          return 0 <= next[0] && next[0] <= next[1] && next[1] < count && (!shiftKey || wide)
        },
      ),
    )
  })
})
