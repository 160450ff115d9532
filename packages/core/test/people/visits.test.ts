import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { belongingOf, belongings, type ComparableThread, type ComparableVisit } from '@murrabel/core/people'

const day = 86_400_000
const visit: ComparableVisit = {
  at: 100 * day,
  placeId: 1,
  route: 'Dunmarrow to Port Ellery',
  ship: 'Storm Petrel',
  reference: 'SK4471',
}
const thread = (part: Partial<ComparableThread> = {}): ComparableThread => ({
  at: 101 * day,
  placeId: null,
  text: 'We were never told anything.',
  ...part,
})

describe('which visit a thread is about', () => {
  test.each<[string, Partial<ComparableThread>, string[] | null]>([
    ['a day later, nothing named', {}, ['near']],
    ['three weeks later, nothing named', { at: 121 * day }, null],
    [
      'three weeks later, the ship named',
      { at: 121 * day, text: 'The storm petrel smelled' },
      ['near', 'ship'],
    ],
    ['its words apart are no ship', { at: 121 * day, text: 'A petrel in the storm' }, null],
    ['a question weeks before it, of the route', { at: 60 * day, text: 'Is Dunmarrow open?' }, null],
    [
      'a question days before it, of the route',
      { at: 95 * day, text: 'Is Dunmarrow open?' },
      ['near', 'route'],
    ],
    ['at its place', { at: 110 * day, placeId: 1 }, ['near', 'place']],
    ['at another place', { at: 110 * day, placeId: 2 }, null],
    ['days before it, nothing named', { at: 97 * day }, null],
    [
      'a year later with its reference',
      { at: 465 * day, text: 'Where is the refund of sk4471?' },
      ['reference'],
    ],
    ['a year later', { at: 465 * day, placeId: 1, text: 'Storm Petrel from Dunmarrow again' }, null],
  ])('%s', (_, part, expected) =>
    expect(belongingOf(thread(part), visit)?.reasons.map(({ kind }) => kind) ?? null).toEqual(expected),
  )

  test('a visit without ship, route and reference is never named by a text', () =>
    expect(
      belongingOf(thread({ at: 121 * day, text: '' }), { ...visit, ship: '', route: '', reference: '' }),
    ).toBeNull())

  test('more that speaks for it never weighs less; the weight stays below 1', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: -80, max: 40 }),
        fc.constantFrom(null, 1, 2),
        fc.subarray(['Storm Petrel', 'Dunmarrow', 'SK4471', 'late']),
        (days, placeId, said) => {
          const at = visit.at + days * day
          const less = belongingOf(thread({ at, placeId: null, text: '' }), visit)
          const more = belongingOf(thread({ at, placeId, text: said.join(' ') }), visit)
          expect(more?.weight ?? 0).toBeGreaterThanOrEqual(less?.weight ?? 0)
          expect(more?.weight ?? 0).toBeLessThan(1)
        },
      ),
    ))

  test('of alike visits the nearest comes first', () => {
    const near = { ...visit, at: 100 * day }
    const far = { ...visit, at: 90 * day }
    expect(belongings(thread({ text: 'The Storm Petrel!' }), [far, near]).map((each) => each.visit)).toEqual([
      near,
      far,
    ])
  })
})
