import { describe, expect, test } from 'vitest'
import {
  ConceptFeatures,
  conceptFinder,
  conceptsFeature,
  isOfConcepts,
  plainConcepts,
} from '../../src/meaning/concepts.ts'
import { featuresOf } from '../../src/meaning/features.ts'
import { tokensOf } from '../../src/meaning/tokens.ts'
import { wordFinder } from '../../src/meaning/words.ts'
import { readByLists } from '../../src/sentiment/lists/readByLists.ts'
import { buildExamples, conceptNames, readVectors } from '../../training/examples.ts'
import type { Lesson } from '../../training/readTexts.ts'

const known = ['ferry', 'late', 'staff', 'kind', 'ticket']
const find = wordFinder(new Map(known.map((word, i) => [word, i])), 'en')
const names = [...plainConcepts, 'boat', 'late', 'staff', 'kind']
const conceptOf = conceptFinder(find, [3, 4, 5, 6, -1])

const featuresIn = (text: string) => {
  const read = tokensOf(text, 'en')
  const concepts = read.tokens.map(({ key }) => conceptOf(key))
  const lists = readByLists(text, { language: 'en' })
  return featuresOf({ text, read, lists, kind: undefined, concepts, told: [] }, names)
}

const conceptsIn = (text: string): string[] =>
  featuresIn(text).flatMap(({ name }) => (isOfConcepts(name) ? [name] : []))

describe('concepts', () => {
  test.each([
    ['ferry', 'boat'],
    ['ferries', undefined],
    ['staffs', 'staff'],
    ["didn't", 'no'],
    ['never', 'no'],
    ['<n>', '<n>'],
    ['!', '!'],
    // A word that is known and has no meaning of ours.
    ['ticket', undefined],
    ['zebra', undefined],
    ['', undefined],
    ['constructor', undefined],
  ])('%s is %s', (word, concept) => {
    expect(names[conceptOf(word)]).toBe(concept)
  })

  test('are paired with the two before them in the same sentence, whatever stands between', () => {
    expect(conceptsIn('The ferry was so terribly late. Staff kind')).toEqual([
      '~boat',
      '~late',
      '~boat ~late',
      '~staff',
      '~kind',
      '~staff ~kind',
    ])
    const far = conceptsIn('ferry late staff kind 7')
    expect(far).toContain('~staff ~<n>')
    expect(far).not.toContain('~late ~<n>')
  })

  test('that are denied are others', () => {
    expect(conceptsIn('The ferry was never late')).toEqual([
      '~boat',
      '~no',
      '~boat ~no',
      '~late-',
      '~no ~late',
      '~boat ~late',
    ])
  })

  test('each counts once however often it comes', () => {
    expect(conceptsIn('late late late')).toEqual(['~late', '~late ~late'])
  })

  test('of a long text count less each, so that many do not drown a few', () => {
    const weights = (text: string) =>
      featuresIn(text).flatMap(({ name, value }) =>
        name === '~boat' || name === '~boat ~late' ? [value] : [],
      )
    const [alone, together] = weights('ferry late '.repeat(8)) as [number, number]
    expect([alone, together]).toEqual(weights('ferry late'))
    const long = weights('ferry late '.repeat(32))
    expect(long[0]).toBeCloseTo(alone / 2)
    expect(long[1]).toBeCloseTo(together / 2)
  })

  test('are the same in all languages, so that what one teaches is known in the others', () => {
    const lesson = { trade: 'a', kind: 'review', sentiment: 0, wish: 2, wantsAnswer: 1 } as const
    const texts: Lesson[] = [
      { ...lesson, language: 'en', text: 'You wait for hours' },
      { ...lesson, language: 'de', text: 'Wir warteten viele Stunden' },
      { ...lesson, language: 'fr', text: 'Nous avons attendu des heures' },
      { ...lesson, language: 'es', text: 'Esperamos varias horas' },
    ]
    const { numbers, examples } = buildExamples(texts)
    const shared = numbers.get(conceptsFeature('wait', 'hour'))!
    expect(shared).toBeGreaterThan(0)
    for (const { ids } of examples) expect([...ids]).toContain(shared)
  })

  test('are found as features by their numbers, alone, denied and in pairs', () => {
    const known = ['bias', '~boat', '~late-', '~boat ~late', '~late ~late', '~no ~late', 'boat late']
    const features = new ConceptFeatures(names, new Map(known.map((name, i) => [name, i])))
    const [no, , , boat, late] = names.map((_, i) => i) as [number, number, number, number, number]
    expect([features.of(boat, false), features.of(boat, true)]).toEqual([1, -1])
    expect([features.of(late, false), features.of(late, true)]).toEqual([-1, 2])
    expect(features.ofPair(boat, late)).toBe(3)
    expect(features.ofPair(late, boat)).toBe(-1)
    expect(features.ofPair(late, late)).toBe(4)
    expect(features.ofPair(no, late)).toBe(5)
  })

  test.each(['en', 'fr', 'de', 'es'])('%s: words stand with what they mean', (language) => {
    const { words, concepts } = readVectors(language)
    expect(concepts).toHaveLength(words.length)
    const some = { en: 'hours', fr: 'heures', de: 'stunden', es: 'horas' }[language]!
    expect(conceptNames()[concepts[words.indexOf(some)]!]).toBe('hour')
    expect(concepts.filter((each) => each >= 0).length).toBeGreaterThan(1500)
  })
})
