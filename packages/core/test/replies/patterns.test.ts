import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  checkPattern,
  filledAtMost,
  fillPattern,
  givenName,
  slotValues,
  patternKey,
  readPattern,
  signed,
  startFrom,
  type SlotValues,
} from '@murrabel/core/replies'

const nothing: SlotValues = { name: null, place: null, visit: null, colleague: null, date: null }
const all: SlotValues = {
  name: 'Perrin',
  place: 'Dunmarrow',
  visit: 'the 7:10 to Inchgarth',
  colleague: 'Tamsin Kerr',
  date: '27 November',
}
const library =
  (texts: Record<string, string>) =>
  (name: string): string | undefined =>
    Object.entries(texts).find(([each]) => patternKey(each) === patternKey(name))?.[1]
const none = library({})

describe('a pattern is filled', () => {
  test.each([
    ['Dear {name|guest},', all, 'Dear Perrin,'],
    ['Dear {name|guest},', nothing, 'Dear guest,'],
    ['Dear { NAME | guest },', nothing, 'Dear guest,'],
    ['Hello{name|}!', nothing, 'Hello!'],
    [
      '{visit|Your crossing} from {place|our quay} on {date}',
      all,
      'the 7:10 to Inchgarth from Dunmarrow on 27 November',
    ],
    ['{{name|x}} stays', all, '{name|x} stays'],
    ['a } b', all, 'a } b'],
    ['{name|guest} wrote to {colleague}', { ...nothing, name: '  ' }, 'guest wrote to '],
    ['', all, ''],
  ])('%s', (text, values, expected) => {
    expect(fillPattern(text, values, none)).toBe(expected)
  })

  test('with what it takes in from others, whatever the case of their names', () => {
    const texts = library({
      'Opening hours': 'Daily from six at {place|the quay}.',
      Close: '{pattern: opening  HOURS}',
    })
    expect(fillPattern('Hello. {pattern:Close}', all, texts)).toBe('Hello. Daily from six at Dunmarrow.')
  })

  test('and values are never read as patterns', () => {
    expect(fillPattern('Dear {name|guest}', { ...nothing, name: '{place|x}' }, none)).toBe('Dear {place|x}')
  })
})

describe('a pattern is refused', () => {
  test.each([
    ['Dear {nmae|guest}', 'unknownSlot', 'nmae'],
    ['Dear {}', 'unknownSlot', ''],
    ['Dear {name}', 'noFallback', undefined],
    ['At {place}', 'noFallback', undefined],
    ['Dear {name|guest', 'unclosed', undefined],
    ['Dear {name|guest\n}', 'unclosed', undefined],
    ['{pattern: Nowhere}', 'unknownPattern', 'Nowhere'],
  ])('%s: %s', (text, kind, words) => {
    const [problem] = checkPattern({ name: 'P', text }, none)
    expect(problem).toMatchObject({ kind, ...(words === undefined ? {} : { words }) })
    expect(text.slice(problem!.start, problem!.end)).toContain('{')
  })

  test.each(['{colleague}', '{date}', 'nothing at all', '{{', '{name|}'])('not for %s', (text) => {
    expect(checkPattern({ name: 'P', text }, none)).toEqual([])
  })

  test('that takes itself in, at once or on a long way', () => {
    expect(checkPattern({ name: 'A', text: '{pattern: a}' }, none)[0]).toMatchObject({
      kind: 'loop',
      names: ['A', 'a'],
    })
    const texts = library({ B: '{pattern: C}', C: 'x {pattern: A}' })
    expect(checkPattern({ name: 'A', text: 'y {pattern: B}' }, texts)[0]).toMatchObject({
      kind: 'loop',
      names: ['A', 'B', 'C', 'A'],
    })
    // A ring that it does not belong to is a loop as well.
    const ring = library({ B: '{pattern: C}', C: '{pattern: B}' })
    expect(checkPattern({ name: 'A', text: '{pattern: B}' }, ring)[0]).toMatchObject({ kind: 'loop' })
  })

  test('that grows beyond an answer, and forty that double each other are no work', () => {
    const texts = library(
      Object.fromEntries(
        Array.from({ length: 40 }, (_, i) => [
          `P${i}`,
          i === 39 ? 'word ' : `{pattern: P${i + 1}}{pattern: P${i + 1}}`,
        ]),
      ),
    )
    expect(checkPattern({ name: 'A', text: '{pattern: P0}' }, texts)[0]).toMatchObject({ kind: 'tooLong' })
    expect(fillPattern('{pattern: P0}', all, texts).length).toBeLessThanOrEqual(filledAtMost)
    const hollow = (name: string) => texts(name)?.replace('word ', '')
    expect(checkPattern({ name: 'A', text: '{pattern: P0}' }, hollow)).toEqual([])
    expect(fillPattern('{pattern: P0}', all, hollow)).toBe('')
  })
})

const fuzzyText = fc
  .array(
    fc.constantFrom(
      '{',
      '}',
      '{{',
      '}}',
      '|',
      'name',
      'place',
      'pattern:',
      'P',
      '\n',
      ' ',
      'é',
      '🙂',
      'date',
    ),
    { maxLength: 30 },
  )
  .map((parts) => parts.join(''))

test('any text is read, and what has no problem fills whole', () => {
  fc.assert(
    fc.property(fuzzyText, fuzzyText, (text, other) => {
      const texts = (name: string) => (patternKey(name) === 'p' ? other : undefined)
      const filled = fillPattern(text, all, texts)
      expect(filled.length).toBeLessThanOrEqual(filledAtMost)
      const problems = checkPattern({ name: 'A', text }, texts)
      for (const { start, end } of problems) {
        expect(start).toBeGreaterThanOrEqual(0)
        expect(end).toBeLessThanOrEqual(text.length)
      }
      // Text without braces is itself; its letters are never lost.
      if (!/[{}]/.test(text)) expect(filled).toBe(text)
      const kept = readPattern(text).parts.flatMap((part) => (part.kind === 'text' ? [part.text] : []))
      for (const piece of kept) expect(filled).toContain(piece)
    }),
    { numRuns: 500 },
  )
})

test.each([
  ['See you soon.', 'Ness, passenger care', 'See you soon.\n\nNess, passenger care'],
  ['See you soon.  \n', 'Ness', 'See you soon.\n\nNess'],
  ['See you soon.', null, 'See you soon.'],
  ['   ', 'Ness', '   '],
])('%j is signed %j', (text, signOff, expected) => expect(signed(text, signOff)).toBe(expected))

describe('an earlier answer is a start', () => {
  test.each([
    ['Dear Perrin,\nso sorry.', 'Hester', 'Dear Hester,\nso sorry.'],
    ['Hello Mr Oakes, so sorry.', 'Hester', 'Hello Hester, so sorry.'],
    ['Bonjour Odile, oui.', null, 'Bonjour, oui.'],
    ['Thank you Perrin Oakes! See you', 'Anselm', 'Thank you Anselm! See you'],
    ['No greeting for Perrin.', 'Hester', 'No greeting for Perrin.'],
    ['Your booking SKF-20411 is found.', 'Hester', 'Your booking [reference] is found.'],
    ['We wrote to p.oakes@post.example twice.', null, 'We wrote to [email] twice.'],
    ['See you.\n\nNess, passenger care', null, 'See you.'],
  ])('%j for %j', (answer, name, expected) => {
    expect(startFrom(answer, { name, signOffs: ['Ness, passenger care'] })).toBe(expected)
  })
})

describe('the name somebody is greeted by', () => {
  test.each([
    ['Perrin Oakes', 'Perrin'],
    ['Oakes, Perrin', 'Perrin'],
    ['Dr. Odile Marchetaux', 'Odile'],
    ['Mrs Hester Quill', 'Hester'],
    ['Jean-Luc de la Rive', 'Jean-Luc'],
    ['lowtide.sal', null],
    ['gannet_61', null],
    ['Perrin', null],
    ['perrin oakes', null],
    ['P. Oakes', null],
    ['+44 7700 900142', null],
    ['p.oakes@post.example', null],
    ['Halder Fast Cats Customer Service Team', null],
    ['', null],
    [null, null],
  ])('%j: %j', (name, expected) => expect(givenName(name)).toBe(expected))
})

describe('the slots are filled in the language of the text', () => {
  const now = Date.UTC(2026, 10, 27, 23, 30)
  const known = {
    name: 'Perrin Oakes',
    place: 'Dunmarrow',
    visit: { route: 'Dunmarrow – Inchgarth', at: '2026-11-22T18:42:00Z' },
    colleague: 'Tamsin Kerr',
  }
  test.each([
    ['en', 'Europe/London', '27 November', 'Dunmarrow – Inchgarth, 22 November'],
    ['fr', 'Europe/Paris', '28 novembre', 'Dunmarrow – Inchgarth, 22 novembre'],
    ['und', 'Europe/London', '27 November', 'Dunmarrow – Inchgarth, 22 November'],
  ])('%s in %s', (language, zone, date, visit) => {
    expect(slotValues(known, { language, zone, now })).toEqual({
      name: 'Perrin',
      place: 'Dunmarrow',
      visit,
      colleague: 'Tamsin Kerr',
      date,
    })
  })
  test('without a route by its day, without a visit not at all', () => {
    const at = { language: 'en', zone: 'Europe/London', now }
    expect(slotValues({ ...known, visit: { ...known.visit, route: '' } }, at).visit).toBe('22 November')
    expect(slotValues({ ...known, visit: null }, at).visit).toBeNull()
  })
})
