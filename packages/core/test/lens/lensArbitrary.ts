import fc from 'fast-check'
import { lensKinds, lensOrders, lensSentiments, lensStates, type Lens } from '@murrabel/core/lens'

const day = fc.integer({ min: 1, max: 28 }).map((n) => `2026-11-${String(n).padStart(2, '0')}`)
const span = fc.tuple(day, day).map(([a, b]) => (a <= b ? { from: a, to: b } : { from: b, to: a }))

/** Any lens; ids small enough that some exist, words among those the sample entries have. */
export const lensArbitrary: fc.Arbitrary<Lens> = fc.record({
  unit: fc.constantFrom('threads' as const, 'entries' as const),
  state: fc.constantFrom(...lensStates, 'any' as const),
  kinds: fc.subarray([...lensKinds]),
  channels: fc.subarray(['pages', 'maps', 'news', 'import']),
  places: fc.uniqueArray(fc.integer({ min: 1, max: 4 }), { maxLength: 3 }),
  sentiments: fc.subarray([...lensSentiments]),
  givenTo: fc.oneof(
    fc.constantFrom('anybody' as const, 'me' as const, 'nobody' as const, 'meOrNobody' as const),
    fc.integer({ min: 1, max: 3 }),
  ),
  watch: fc.option(fc.integer({ min: 1, max: 3 })),
  words: fc.constantFrom('', 'late', 'fer', 'café', "crew's", 'heron late', "o'brien \\ 'x' & !y", '#dogs'),
  range: fc.oneof(
    fc.constant(null),
    fc.integer({ min: 1, max: 40 }).map((last) => ({ last })),
    span,
  ),
  order: fc.constantFrom(...lensOrders),
})
