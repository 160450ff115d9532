import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { shareOut, type Taker } from '../../src/inbox/index.ts'

interface Thread {
  place: number
}
const taker = (id: number, places: number[] | null): Taker<Thread> => ({
  id,
  sees: ({ place }) => places === null || places.includes(place),
})
const threads = fc.array(fc.record({ place: fc.integer({ min: 1, max: 4 }) }), { maxLength: 60 })
const places = fc.option(fc.subarray([1, 2, 3, 4]))
const takers = fc
  .uniqueArray(fc.record({ id: fc.integer({ min: 1, max: 30 }), places }), {
    selector: ({ id }) => id,
    maxLength: 6,
  })
  .map((all) => all.map((each) => taker(each.id, each.places)))

describe('sharing out', () => {
  test('everybody who sees all gets an equal share', () => {
    fc.assert(
      fc.property(threads, fc.integer({ min: 1, max: 6 }), (all, n) => {
        const given = shareOut(
          all,
          Array.from({ length: n }, (_, i) => taker(i + 1, null)),
        )
        const counts = Array.from({ length: n }, (_, i) => given.filter((id) => id === i + 1).length)
        expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1)
      }),
    )
  })
  test('nobody is given what they may not see, and nothing is left that somebody may', () => {
    fc.assert(
      fc.property(threads, takers, takers, (all, first, rest) => {
        const given = shareOut(all, first, rest)
        expect(given).toHaveLength(all.length)
        given.forEach((id, i) => {
          const seers = (group: Taker<Thread>[]) =>
            group.filter(({ sees }) => sees(all[i]!)).map((each) => each.id)
          const able = seers(first).length ? seers(first) : seers(rest)
          if (able.length) expect(able).toContain(id)
          else expect(id).toBeNull()
        })
      }),
    )
  })
  test.each([
    [
      'one who sees a part gets no more than that',
      [1, 1, 2, 2],
      [taker(7, [1]), taker(8, null)],
      [7, 8, 8, 8],
    ],
    ['nobody is there', [1, 2], [], [null, null]],
    ['in turn', [1, 1, 1], [taker(5, null), taker(6, null)], [5, 6, 5]],
  ])('%s', (_, where, group, expected) => {
    const all = where.map((place) => ({ place }))
    expect(shareOut(all, group)).toEqual(expected)
  })
})
