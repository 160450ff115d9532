import { describe, expect, test } from 'vitest'
import { blankEntry } from '../../../src/sentiment/lists/grammar.ts'
import { byEnding } from '../../../src/sentiment/lists/morphology.ts'
import { readByLists } from '../../../src/sentiment/lists/readByLists.ts'

describe('forms of words that are not listed each', () => {
  test.each([
    ['de', 'schäbig', ['schäbige', 'schäbigen', 'schäbiger', 'schäbigste']],
    ['de', 'unerhört', ['unerhörte', 'unerhörtes']],
    ['de', 'dubios', ['dubiose', 'dubiosen']],
    ['de', 'herausragend', ['herausragende', 'herausragendes', 'herausragendsten']],
    ['fr', 'défraîchi', ['défraîchis', 'défraîchies']],
    ['fr', 'crasseux', ['crasseuses']],
    ['fr', 'succulent', ['succulentes']],
    ['fr', 'poussif', ['poussives']],
    ['es', 'destartalado', ['destartalados', 'destartaladas']],
    ['es', 'suculento', ['suculentas', 'suculentísimo']],
    ['es', 'estafar', ['estafando', 'estafó', 'estafados']],
  ])('%s: what "%s" says', (language, word, forms) => {
    const base = readByLists(word, { language }).raw
    expect(Math.abs(base)).toBeGreaterThan(0.5)
    for (const form of forms)
      expect(Math.sign(readByLists(form, { language }).raw), form).toBe(Math.sign(base))
  })

  test.each([
    ['de', ['tische', 'teller', 'montag', 'guthaben']],
    ['fr', ['maison', 'portes', 'table', 'avant', 'semaines']],
    ['es', ['casas', 'mesa', 'partes', 'semana', 'puerta']],
  ])('%s: a word of which no list knows a form says nothing', (language, words) => {
    for (const word of words) expect(readByLists(word, { language }).raw, word).toBe(0)
  })

  test.each([
    ['de', ['schicken', 'später', 'wartet', 'trocken']],
    ['fr', ['annuler', 'supprimer', 'vol', 'sec']],
    ['es', ['podrían', 'viejo', 'esperó', 'arreglar']],
    ['en', ['patients', 'lights', 'fined', 'wooden']],
  ])('%s: words that say nothing by themselves, though a form of them is in a list', (language, words) => {
    for (const word of words) expect(readByLists(word, { language }).raw, word).toBe(0)
  })

  test('the first ending that leads to a word counts, with its factor, and what is left is long enough', () => {
    const words = new Map([
      ['fein', { ...blankEntry, valence: 2 }],
      ['nicht', { ...blankEntry, negator: true }],
      ['eng', { ...blankEntry, valence: -1 }],
    ])
    const from = (word: string) =>
      byEnding(
        word,
        [
          ['ste', '', 1.5],
          ['e', '', 1],
        ],
        { lookup: (each) => words.get(each), leastStem: 4 },
      )
    expect(from('feinste')?.valence).toBe(3)
    expect(from('feine')?.valence).toBe(2)
    expect(from('feinen')).toBeUndefined()
    // What is no opinion has no forms, and three letters are chance.
    expect(from('nichte')).toBeUndefined()
    expect(from('enge')).toBeUndefined()
  })
})
