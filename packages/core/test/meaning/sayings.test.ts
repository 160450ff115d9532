import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { featuresOf } from '../../src/meaning/features.ts'
import { isOfSayings, plainPhrases, Sayings } from '../../src/meaning/sayings.ts'
import { tokensOf } from '../../src/meaning/tokens.ts'
import { readByLists } from '../../src/sentiment/lists/readByLists.ts'
import { phrasesOf, sayingNames } from '../../training/examples.ts'
import { trainedLanguages } from '../../training/readTexts.ts'

const names = {
  sayings: '+remedy -since-then 0promised -late 0staff',
  pairs: '- promised .. since-then\n- staff + late\n- no + staff',
}
const phrases = [
  'sent another, sent a _ one, made it good',
  'nothing since, it is now',
  "promised, said he'd",
  'late, delay*, gone stal*, no crew came',
  'staff, crew, fiancé',
].join('\n')
const plain = (lines: string) =>
  lines
    .split('\n')
    .map((line) => plainPhrases(line, 'en'))
    .join('\n')
const sayings = new Sayings(names, plain(phrases))
const told = (text: string) => sayings.in(tokensOf(text, 'en').tokens)
const namesIn = (text: string) => told(text).map(({ name }) => name)

describe('sayings', () => {
  test.each([
    ['They sent another.', ['^remedy']],
    ['THEY SENT ANOTHER', ['^remedy']],
    // A gap is one or two words, not none and not three.
    ['They sent a new one.', ['^remedy']],
    ['They sent a brand new one.', ['^remedy']],
    ['They sent a one.', []],
    ['They sent a big brand new one.', []],
    // A star ends a stem; without it only the whole word counts.
    ['Two delays.', ['^late']],
    ['A lately found hat', []],
    ["He said he'd come.", ['^promised']],
    ['My fiance', ['^staff']],
    ['My fiancé', ['^staff']],
    ['It had gone stale.', ['^late']],
    ['It had gone stone.', []],
    // A phrase does not go over the end of a sentence.
    ['They sent. Another came.', []],
    ['They sent', []],
    ['', []],
  ])('%s', (text, found) => {
    expect(namesIn(text)).toEqual(found)
  })

  test('are denied by a word shortly before them, and only in their clause', () => {
    expect(namesIn('It was not late')).toEqual(['^late-'])
    expect(namesIn('It was never so very late')).toEqual(['^late'])
    expect(namesIn('No. Late')).toEqual(['^late'])
    expect(namesIn('No, late')).toEqual(['^late'])
    expect(namesIn('Not but late')).toEqual(['^late'])
  })

  test('tell something together in a sentence, or anywhere where the pair says so', () => {
    expect(namesIn('The staff were late')).toContain('^staff ^late')
    expect(namesIn('Late, the whole staff')).toContain('^staff ^late')
    expect(namesIn('The staff smiled. Then late.')).not.toContain('^staff ^late')
    expect(namesIn('The staff a b c d e f g h i late')).toContain('^staff ^late')
    expect(namesIn('The staff a b c d e f g h i j late')).not.toContain('^staff ^late')
    expect(namesIn('Promised for Monday. It is now Friday.')).toContain('^promised .. ^since-then')
    expect(namesIn('The staff were not late')).toContain('^staff ^late-')
  })

  test('a word that denies is itself part of a pair, which no other one denies', () => {
    expect(namesIn('There was no staff')).toContain('^no ^staff')
    expect(namesIn('Never any no staff')).toContain('^no ^staff')
    expect(namesIn('Never any no staff')).not.toContain('^no ^staff-')
  })

  test.each([
    ['Staff were not there', true],
    ['Not in all of that long day were staff there', false],
    ['We waited, not one of them said why, staff', false],
    ['Nobody said why and staff left', false],
    ['Nobody said why. Staff left', false],
  ])('a word that denies says something of what stands by it in its clause: %s', (text, paired) => {
    expect(namesIn(text).includes('^no ^staff')).toBe(paired)
  })

  test('do not tell something together where one lies in the other', () => {
    expect(namesIn('No crew came')).toEqual(expect.arrayContaining(['^late', '^staff-']))
    expect(namesIn('No crew came').filter((name) => name.startsWith('^staff ^late'))).toEqual([])
  })

  test('of two that would make a pair the nearer one does', () => {
    const pair = told('late in a big hall, the staff late').find(({ name }) => name === '^staff ^late')
    expect(pair!.parts).toEqual([
      [6, 6],
      [7, 7],
    ])
  })

  test('stand on their words', () => {
    const pair = told('Promised for Monday. It is now Friday.').find(({ name }) => name.includes('..'))
    expect(pair!.parts).toEqual([
      [0, 0],
      [3, 5],
    ])
  })

  test('glad and unhappy ones are counted, denied ones are not', () => {
    const wholes = (text: string) => {
      const read = tokensOf(text, 'en')
      const lists = readByLists(text, { language: 'en' })
      const source = { text, read, lists, kind: undefined, concepts: read.tokens.map(() => -1) }
      return Object.fromEntries(
        featuresOf({ ...source, told: sayings.in(read.tokens) }, [])
          .filter(({ name }) => name.startsWith('sayings='))
          .map(({ name, value }) => [name, value]),
      )
    }
    expect(wholes('They sent another')).toEqual({ 'sayings=glad': 1, 'sayings=all': Math.tanh(0.5) })
    expect(wholes('Late, and they sent another')).toEqual({ 'sayings=glad': 1, 'sayings=unhappy': 1 })
    expect(wholes('It was not late')).toEqual({})
    expect(wholes('A hat')).toEqual({})
  })

  test('of nothing are found in nothing, whatever the text', () => {
    const blank = new Sayings({ sayings: '+a', pairs: '' }, plain(' , ,'))
    fc.assert(
      fc.property(fc.string(), (text) => {
        expect(blank.in(tokensOf(text, 'en').tokens)).toEqual([])
        for (const { parts } of told(text))
          for (const [first, last] of parts) expect(first).toBeLessThanOrEqual(last)
      }),
    )
  })

  test('are told once, however often a text says them', () => {
    const long = tokensOf('the staff said he promised late nothing since no '.repeat(200), 'en').tokens
    expect(sayings.in(long).length).toBeLessThan(20)
  })
})

test.each([
  ["Été d'hiver, renvoy* un", 'fr', "ete d' hiver,renvoy* un"],
  ['sent a _ one,  sent   a _ one , ,', 'en', 'sent a _ one'],
  ['', 'en', ''],
])('phrases as they are looked for: %s', (phrases, language, plain) => {
  expect(plainPhrases(phrases, language)).toBe(plain)
})

describe('our sayings', () => {
  const { sayings: all, pairs } = sayingNames()
  const known = all.split(' ').map((each) => each.slice(1))

  test('have a sign, and a name that no other has', () => {
    expect(all.split(' ').filter((each) => !/^[-+0][a-z][a-z-]+$/.test(each))).toEqual([])
    expect(new Set(known).size).toBe(known.length)
    expect(known).not.toContain('no')
  })

  test.each(trainedLanguages)('say something in %s, each', (language) => {
    const lines = phrasesOf(language).split('\n')
    expect(lines).toHaveLength(known.length)
    expect(known.filter((_, i) => lines[i]!.split(',').filter((each) => each.trim()).length < 3)).toEqual([])
  })

  test('are paired by their names, each pair once', () => {
    const lines = pairs.split('\n')
    const bad = lines.filter((line) => {
      const [sign, first, how, second, ...rest] = line.split(' ')
      const named = [first!, second!].every((each) => each === 'no' || known.includes(each))
      return !['+', '-'].includes(sign!) || !['+', '..'].includes(how!) || !named || rest.length > 0
    })
    expect(bad).toEqual([])
    const sorted = lines.map((line) => {
      const [, first, how, second] = line.split(' ')
      return [how, ...[first, second].sort()].join(' ')
    })
    expect(new Set(sorted).size).toBe(sorted.length)
  })

  test('are told from words and concepts by their mark', () => {
    expect(['^late', '^staff ^late-'].every(isOfSayings)).toBe(true)
    expect(['late', '~late', 'lists=raw'].some(isOfSayings)).toBe(false)
  })
})
