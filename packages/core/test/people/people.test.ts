import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  handleWords,
  joinsBetween,
  likenessOf,
  likeNames,
  meetingKeys,
  nameKey,
  namesAlike,
  nameWords,
  shownAs,
  type Comparable,
} from '@murrabel/core/people'

const person = (part: Partial<Comparable>): Comparable => ({
  name: '',
  handles: [],
  places: [],
  topics: [],
  ...part,
})
const day = 86_400_000

describe('names', () => {
  it.each([
    ['Dr. Odile MARCHETAUX', ['odile', 'marchetaux']],
    ['Oakes, Perrin', ['oakes', 'perrin']],
    ['Zoë Ångström-Feld', ['zoe', 'angstrom', 'feld']],
    ['  ', []],
    ['李 小龙', ['李', '小龙']],
  ])('reads the words of %s', (name, words) => expect(nameWords(name)).toEqual(words))

  it('knows no order of words', () => expect(nameKey('Oakes, Perrin')).toBe(nameKey('Perrin Oakes')))

  it.each([
    ['@p_oakes.61', ['p', 'oakes']],
    ['PerrinOakes', ['perrin', 'oakes']],
    ['perrin.oakes@orrin.example', ['perrin', 'oakes']],
  ])('reads the words of the handle %s', (handle, words) => expect(handleWords(handle)).toEqual(words))
})

describe('likeness', () => {
  it.each([
    ['Perrin Oakes', 'Perin Oakes', true],
    ['Perrin Oakes', 'Oakes, Perrin', true],
    ['Perrin Oakes', 'P. Oakes', true],
    ['Perrin Oakes', 'Perrin James Oakes', true],
    ['Perrin Oakes', 'Perrin Rook', false],
    ['Perrin Oakes', 'Anselm Oakes', false],
    ['Perrin Oakes', 'Perrin', false],
    ['Perrin', 'Perrin', false],
    ['Hester Quill', 'Hester Quell', true],
    ['Hester Quill', 'Sunniva Brandt', false],
  ])('of %s and %s', (one, other, alike) => {
    expect(namesAlike(nameWords(one), nameWords(other)) >= likeNames).toBe(alike)
  })

  it('is the same from both sides, at most 1, and 1 with oneself', () => {
    const names = fc.array(fc.stringMatching(/^[a-z]{1,9}$/), { minLength: 1, maxLength: 4 })
    fc.assert(
      fc.property(names, names, (one, other) => {
        const likeness = namesAlike(one, other)
        expect(likeness).toBeCloseTo(namesAlike(other, one), 9)
        expect(likeness).toBeLessThanOrEqual(1)
        expect(likeness).toBeGreaterThanOrEqual(0)
      }),
    )
    expect(namesAlike(['ada', 'ada'], ['ada', 'ada'])).toBe(1)
  })

  it('proposes nobody for a name alone', () => {
    expect(likenessOf(person({ name: 'Perrin Oakes' }), person({ name: 'Perrin Oakes' }))).toBeNull()
  })

  it('tells the place and the occasion that two share', () => {
    const one = person({
      name: 'Perrin Oakes',
      places: [4, 7],
      topics: [
        { word: 'lane', at: 10 * day },
        { word: 'dunmarrow', at: 10 * day },
        { word: 'bacon', at: 40 * day },
      ],
    })
    const other = person({
      name: 'p_oakes',
      handles: ['p_oakes'],
      places: [7],
      topics: [
        { word: 'dunmarrow', at: 11 * day },
        { word: 'lane', at: 11 * day },
        { word: 'bacon', at: 90 * day },
      ],
    })
    const found = likenessOf(one, other)
    expect(found?.reasons).toEqual([
      { kind: 'names', likeness: found?.likeness, one: 'Perrin Oakes', other: 'p_oakes' },
      { kind: 'topic', words: ['dunmarrow', 'lane'], at: 10 * day },
      { kind: 'place', place: 7 },
    ])
    expect(likenessOf(other, one)?.likeness).toBe(found?.likeness)
  })

  it('takes a shared place for no reason where many bear such a name, but an occasion still', () => {
    const [one, other] = [1, 2].map(() => person({ name: 'Perrin Oakes', places: [7] }))
    expect(likenessOf(one!, other!, { bearers: 8 })?.reasons.map(({ kind }) => kind)).toEqual([
      'names',
      'place',
    ])
    expect(likenessOf(one!, other!, { bearers: 9 })).toBeNull()
    const topics = ['lane', 'dunmarrow'].map((word) => ({ word, at: day }))
    const spoke = [one!, other!].map((each) => ({ ...each, topics }))
    expect(likenessOf(spoke[0]!, spoke[1]!, { bearers: 900 })?.reasons.map(({ kind }) => kind)).toEqual([
      'names',
      'topic',
      'place',
    ])
  })

  it('says no occasion where both said the words at different times', () => {
    const said = (at: number) => [
      { word: 'lane', at },
      { word: 'dunmarrow', at },
    ]
    const [one, other] = [10, 14].map((at) => person({ name: 'Perrin Oakes', topics: said(at * day) }))
    expect(likenessOf(one!, other!)).toBeNull()
  })

  it('lets those meet whose names are alike', () => {
    const meet = (one: Partial<Comparable>, other: Partial<Comparable>) => {
      const keys = new Set(meetingKeys(person(one)))
      return meetingKeys(person(other)).some((key) => keys.has(key))
    }
    expect(meet({ name: 'Perrin Oakes' }, { name: 'p_oakes', handles: ['p_oakes'] })).toBe(true)
    expect(meet({ name: 'Perrin Oakes' }, { name: 'Oakes, Perin' })).toBe(true)
    expect(meet({ name: 'Perrin Oakes' }, { name: 'x', handles: ['perrinoakes'] })).toBe(true)
    expect(meet({ name: 'Perrin Oakes' }, { name: 'Hester Quill' })).toBe(false)
  })

  it('gives a dozen keys at most, whatever somebody calls themselves', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300, unit: 'grapheme' }), fc.array(fc.string()), (name, handles) => {
        expect(meetingKeys({ name, handles }).length).toBeLessThanOrEqual(12)
      }),
    )
  })
})

describe('groups', () => {
  const joins = fc.array(
    fc.record({ one: fc.integer({ min: 1, max: 9 }), other: fc.integer({ min: 1, max: 9 }) }),
    { maxLength: 12 },
  )
  const ids = [1, 2, 3, 4, 5, 6, 7, 8, 9]

  it('is the same in any order of joins and undos', () => {
    fc.assert(
      fc.property(
        joins,
        fc.array(fc.nat(11), { maxLength: 6 }),
        fc.infiniteStream(fc.nat(99)),
        (all, gone, mix) => {
          const left = all.filter((_, i) => !gone.includes(i))
          const mixed = left
            .map((join) => ({ join, at: mix.next().value as number }))
            .sort((a, b) => a.at - b.at)
            .map(({ join }) => ({ one: join.other, other: join.one }))
          expect(shownAs(ids, mixed)).toEqual(shownAs(ids, left))
        },
      ),
    )
  })

  it('agrees with the ways between people, step by step', () => {
    fc.assert(
      fc.property(joins, (all) => {
        const groups = shownAs(ids, all)
        for (const id of ids) {
          const reached = new Set([id])
          for (let grew = true; grew;) {
            grew = false
            for (const { one, other } of all)
              if (reached.has(one) !== reached.has(other)) {
                reached.add(one).add(other)
                grew = true
              }
          }
          expect(groups.get(id)).toBe(Math.min(...reached))
        }
      }),
    )
  })

  it('takes two apart by undoing no more than it must', () => {
    fc.assert(
      fc.property(joins, (all) => {
        const undone = joinsBetween(all, 1, 2)
        const left = all.filter((join) => !undone.includes(join))
        const groups = shownAs(ids, left)
        expect(groups.get(1)).not.toBe(groups.get(2))
        // Each of them was needed.
        for (const join of undone) {
          const again = shownAs(ids, [...left, join])
          expect(again.get(1)).toBe(again.get(2))
        }
      }),
    )
  })

  it('does nothing for two who are apart', () =>
    expect(joinsBetween([{ one: 1, other: 3 }], 1, 2)).toEqual([]))
})
