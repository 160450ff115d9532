import fc from 'fast-check'
import { expect, test } from 'vitest'
import { PairTable } from '../../src/meaning/pairTable.ts'

const small = fc.nat(40)
const large = fc.nat(2 ** 31 - 1)
const entry = (n: fc.Arbitrary<number>) => fc.tuple(n, n, fc.nat())

test('finds what a map of names would find, and nothing else', () => {
  fc.assert(
    fc.property(
      fc.oneof(fc.array(entry(small), { maxLength: 400 }), fc.array(entry(large), { maxLength: 400 })),
      fc.array(fc.tuple(small, small), { maxLength: 100 }),
      (entries, others) => {
        const table = new PairTable(entries)
        const map = new Map(entries.map(([first, second, kept]) => [`${first} ${second}`, kept]))
        for (const [first, second] of [...entries, ...others])
          expect(table.get(first, second)).toBe(map.get(`${first} ${second}`) ?? -1)
      },
    ),
  )
})

test('of nothing holds nothing', () => {
  expect(new PairTable([]).get(0, 0)).toBe(-1)
})
