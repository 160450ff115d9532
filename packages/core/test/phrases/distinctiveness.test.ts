import { describe, expect, test } from 'vitest'
import fc from 'fast-check'
import { distinctivePhrases } from '../../src/phrases/index.ts'
import { chanceOf, distinctiveness, heldByRate } from '../../src/phrases/distinctiveness.ts'

describe('how distinctive', () => {
  test('by hand: 8 of 100 against none of 1,000', () => {
    const share = 8 / 1100
    const ratio =
      2 * (8 * Math.log(8 / (100 * share)) + 92 * Math.log(92 / (100 * (1 - share)))) +
      2 * 1000 * Math.log(1000 / (1000 * (1 - share)))
    expect(distinctiveness({ front: 8, fronts: 100, back: 0, backs: 1000 })).toBeCloseTo(Math.sqrt(ratio), 10)
  })

  const side = fc.integer({ min: 1, max: 5000 })
  test('grows with each entry here, falls with each elsewhere', () =>
    fc.assert(
      fc.property(side, side, fc.nat(), fc.nat(), (fronts, backs, a, b) => {
        const share = { front: a % fronts, fronts, back: b % backs, backs }
        const z = distinctiveness(share)
        expect(distinctiveness({ ...share, front: share.front + 1 })).toBeGreaterThanOrEqual(z - 1e-6)
        expect(distinctiveness({ ...share, back: share.back + 1 })).toBeLessThanOrEqual(z + 1e-6)
      }),
    ))

  test('the same share tells nothing, and the sides may be exchanged', () => {
    expect(distinctiveness({ front: 10, fronts: 100, back: 30, backs: 300 })).toBeCloseTo(0, 6)
    const z = distinctiveness({ front: 12, fronts: 100, back: 3, backs: 300 })
    expect(distinctiveness({ front: 3, fronts: 300, back: 12, backs: 100 })).toBeCloseTo(-z, 10)
    expect(distinctiveness({ front: 3, fronts: 3, back: 0, backs: 0 })).toBe(0)
  })
})

describe('chance', () => {
  test('by hand: all five of five among 10 of 20, looked at from three on', () => {
    const choose = (n: number, k: number): number => (k ? (choose(n - 1, k - 1) * n) / k : 1)
    const at = (j: number) => (choose(10, j) * choose(10, 5 - j)) / choose(20, 5)
    expect(chanceOf({ front: 5, fronts: 10, back: 0, backs: 10 }, 3)).toBeCloseTo(
      at(5) / (at(3) + at(4) + at(5)),
      10,
    )
    expect(chanceOf({ front: 4, fronts: 10, back: 1, backs: 10 }, 3)).toBeCloseTo(
      (at(4) + at(5)) / (at(3) + at(4) + at(5)),
      10,
    )
  })
  test('never under 0 or over 1, and falls with the entries here', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 900 }),
        fc.integer({ min: 1, max: 900 }),
        fc.nat(),
        fc.nat(),
        (n, m, a, b) => {
          const share = { front: a % n, fronts: n, back: b % m, backs: m }
          const here = chanceOf(share, 3)
          expect(here).toBeGreaterThanOrEqual(0)
          expect(here).toBeLessThanOrEqual(1)
          if (share.back > 0)
            expect(
              chanceOf({ ...share, front: share.front + 1, back: share.back - 1 }, 3),
            ).toBeLessThanOrEqual(here + 1e-9)
        },
      ),
    ))
  test.each([
    [[], 0],
    [[0.2, 0.5], 0],
    [[0.01, 0.04, 0.5, 0.9], 2],
    [[0.06, 0.065, 0.07], 3],
  ])('of %j at a tenth: %d', (chances, held) => expect(heldByRate(chances, 0.1)).toBe(held))
})

/** Texts of words as frequent as in a language: the k-th about 1/k as often as the first. */
function corpus(size: number, random: () => number): { id: number; text: string }[] {
  const word = () => `w${Math.floor(Math.exp(random() * Math.log(4000)))}q`
  return Array.from({ length: size }, (_, id) => ({
    id,
    text: Array.from({ length: 6 + Math.floor(random() * 14) }, word).join(' '),
  }))
}

function seeded(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}

describe('where nothing happens, nothing is told', () => {
  test.each([
    [40, 300],
    [200, 1500],
    [300, 300],
    [100, 3000],
  ])('%d entries against %d of the same corpus', (front, back) => {
    const random = seeded(front + back)
    const runs = 40
    let told = 0
    for (let run = 0; run < runs; run++)
      if (distinctivePhrases(corpus(front, random), corpus(back, random)).length) told++
    // At most a tenth of the runs, and what 40 draws may add to that (3 standard deviations).
    expect(told / runs).toBeLessThanOrEqual(0.1 + 3 * Math.sqrt((0.1 * 0.9) / runs))
  })
  test('and a word of a third of the entries, never said before, is', () => {
    for (let seed = 1; seed <= 20; seed++) {
      const random = seeded(seed)
      const front = corpus(43, random).map(({ id, text }) => ({
        id,
        text: id % 3 === 0 ? `${text} engine` : text,
      }))
      const told = distinctivePhrases(front, corpus(311, random))
      expect(told[0]?.words).toContain('engine')
    }
  })
})
