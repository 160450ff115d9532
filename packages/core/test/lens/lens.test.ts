import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  blankLens,
  instantsOf,
  askingParts,
  lensParts,
  lensPhrases,
  lensPredicate,
  parseLens,
  printLens,
  searchPlaces,
  type Lens,
  type LensEntry,
  type LensPart,
} from '@murrabel/core/lens'
import { placedWords } from '@murrabel/core/text'
import { lensArbitrary } from './lensArbitrary.ts'

describe('the address of a lens', () => {
  test('what is printed is read again', () => {
    fc.assert(
      fc.property(lensArbitrary, lensArbitrary, (lens, base) => {
        const { lens: read, problems } = parseLens(printLens(lens, base), { ...base, unit: lens.unit })
        expect(problems).toEqual([])
        expect(read).toEqual(lens)
      }),
    )
  })

  test('what equals the usual lens is left out', () => expect(printLens(blankLens, blankLens)).toEqual([]))

  test.each([
    ['state', 'lost'],
    ['kind', 'review,rumour'],
    ['place', '-1'],
    ['place', '1;drop'],
    ['given', 'Ivo'],
    ['time', 'last-0'],
    ['time', 'last-99999'],
    ['time', '2026-11-25_2026-11-01'],
    ['time', '2026-13-45_2026-14-01'],
    ['time', '1990-01-01_2026-01-01'],
    ['words', 'x'.repeat(201)],
    ['order', 'loudest'],
    ['watch', '0'],
  ])('%s=%s is named as a problem and the base kept', (field, value) => {
    expect(parseLens([[field, value]], blankLens)).toEqual({ lens: blankLens, problems: [{ field, value }] })
  })

  test.each(lensParts.entries.map((part) => [part.field, part as unknown as LensPart] as const))(
    'the part %s has a name of its own, and asks for nothing when it is blank',
    (field, part) => {
      expect(lensParts.entries.filter(({ name }) => name === part.name)).toHaveLength(1)
      expect(part.parse(part.print(part.blank))).toEqual(part.blank)
      expect(askingParts(blankLens).map((asking) => asking.part.field)).not.toContain(field)
      expect(part.parse('\u0000')).toBeUndefined()
    },
  )

  test('a name that addresses had before is understood', () => {
    expect(parseLens([['felt', 'negative']], blankLens).lens.sentiments).toEqual(['negative'])
  })

  test('names of others are left alone', () => {
    expect(
      parseLens(
        [
          ['connected', '3'],
          ['constructor', 'x'],
        ],
        blankLens,
      ).problems,
    ).toEqual([])
  })
})

describe('the range', () => {
  const now = Date.parse('2026-11-25T12:00:00Z')
  test('last days are local calendar days, today included', () => {
    const range = instantsOf({ last: 2 }, { now, zone: 'Europe/London' })
    expect(range).toEqual({
      from: Date.parse('2026-11-24T00:00:00Z'),
      to: Date.parse('2026-11-26T00:00:00Z'),
    })
  })
  test('the day on which the clock goes back has 25 hours', () => {
    const range = instantsOf({ from: '2026-10-25', to: '2026-10-25' }, { now, zone: 'Europe/London' })!
    expect((range.to - range.from) / 3_600_000).toBe(25)
  })
  test('hours are one hour long', () => {
    const range = instantsOf({ from: '2026-11-25T09', to: '2026-11-25T10' }, { now, zone: 'Europe/London' })!
    expect((range.to - range.from) / 3_600_000).toBe(2)
  })
})

describe('the predicate', () => {
  const entry: LensEntry = {
    lead: true,
    state: 'open',
    kind: 'review',
    origin: 'sent',
    channel: 'maps',
    place: 2,
    sentiment: 'negative',
    wish: 'complaint',
    confidence: 0.7,
    givenTo: null,
    team: 8,
    priority: 1 as const,
    spam: false,
    watches: [4],
    words: placedWords('The Café was late, ask @ness'),
    language: 'en',
    voice: 3,
    story: null,
    aspects: [{ id: 1, sentiment: 'negative' as const }],
    tags: [5],
    kept: true,
    at: Date.parse('2026-11-25T10:00:00Z'),
  }
  const context = {
    now: Date.parse('2026-11-25T12:00:00Z'),
    zone: 'Europe/London',
    me: 7,
    myTeams: [8],
    doubtBelow: 0.5,
    watchesOf: (group: number) => (group === 9 ? [2, 4] : []),
  }
  test.each<[Partial<Lens>, boolean]>([
    [{}, true],
    [{ state: 'done' as const }, false],
    [{ kinds: ['comment' as const] }, false],
    [{ places: [2, 3] }, true],
    [{ places: [3] }, false],
    [{ givenTo: 'me' as const }, false],
    [{ givenTo: 'meOrNobody' as const }, true],
    [{ givenTo: 'nobody' as const }, false],
    [{ givenTo: 'myTeams' as const }, true],
    [{ givenTo: 'mine' as const }, true],
    [{ givenTo: 'team-8' as const }, true],
    [{ givenTo: 'team-9' as const }, false],
    [{ priority: 'raised' as const }, true],
    [{ priority: 'highest' as const }, false],
    [{ spam: 'only' as const }, false],
    [{ spam: 'without' as const }, true],
    [{ givenTo: 9 }, false],
    [{ watch: 4 }, true],
    [{ watch: 5 }, false],
    [{ words: 'cafe LAT' }, true],
    [{ words: 'ness early' }, false],
    [{ phrase: 'cafe was' }, true],
    [{ phrase: 'was cafe' }, false],
    [{ phrase: 'late ask' }, false],
    [{ languages: ['fr', 'en'] }, true],
    [{ languages: ['fr'] }, false],
    [{ voice: 3 }, true],
    [{ voice: 4 }, false],
    [{ story: 3 }, false],
    [{ aspect: { id: 1, sentiment: null } }, true],
    [{ aspect: { id: 1, sentiment: 'negative' } }, true],
    [{ aspect: { id: 1, sentiment: 'positive' } }, false],
    [{ group: 9 }, true],
    [{ group: 8 }, false],
    [{ tags: [5, 6] }, true],
    [{ tags: [6] }, false],
    [{ kept: true }, true],
    [{ origins: ['sent', 'watched'] }, true],
    [{ origins: ['heard'] }, false],
    [{ range: { last: 1 } }, true],
    [{ range: { from: '2026-11-24', to: '2026-11-24' } }, false],
  ])('%j: %s', (part, expected) => {
    expect(lensPredicate({ ...blankLens, ...part }, context)(entry)).toBe(expected)
  })
})

test('the sentence names every part that can be changed', () => {
  const parts = lensPhrases({ ...blankLens, kinds: ['review'], words: 'late', range: { last: 14 } })
  expect(parts.map((p) => [p.field, p.message])).toEqual([
    ['state', 'any'],
    ['kinds', 'one'],
    ['origins', 'all'],
    ['channels', 'all'],
    ['places', 'all'],
    ['sentiments', 'all'],
    ['wishes', 'all'],
    ['doubt', 'all'],
    ['givenTo', 'anybody'],
    ['priority', 'any'],
    ['spam', 'any'],
    ['watch', 'all'],
    ['languages', 'all'],
    ['voice', 'all'],
    ['story', 'all'],
    ['phrase', 'all'],
    ['aspect', 'all'],
    ['weekHour', 'all'],
    ['tags', 'all'],
    ['kept', 'all'],
    ['uncaught', 'any'],
    ['words', 'one'],
    ['range', 'last'],
    ['order', 'newest'],
  ])
})

describe('where a text holds what is looked for', () => {
  test.each([
    ['Refunds? No refund.', { words: 'refund', phrase: '' }, ['Refunds', 'refund']],
    ['Le café du port', { words: 'cafe', phrase: '' }, ['café']],
    ['No refund, so no refund form.', { words: '', phrase: 'no refund' }, ['No refund', 'no refund']],
    ['late boat, late', { words: 'boat', phrase: 'late boat' }, ['late boat', 'boat']],
    ['Nothing of it', { words: 'refund', phrase: 'no way' }, []],
    ['Anything', { words: '', phrase: '' }, []],
  ])('%s, %j', (text, wanted, found) => {
    expect(searchPlaces(text, wanted).map(({ start, end }) => text.slice(start, end))).toEqual(found)
  })
})
