import fc from 'fast-check'
import { mount } from '@vue/test-utils'
import { describe, expect, test } from 'vitest'
import { errorCatalogue, fieldProblem, problemOf, type TideBucket } from '@murrabel/contract'
import { checkQuery } from '@murrabel/core/watches'
import { CallProblem } from '../src/api/call.ts'
import { languageOf } from '../src/messages/language.ts'
import { en } from '../src/messages/en.ts'
import { fr } from '../src/messages/fr.ts'
import { fieldProblems } from '../src/messages/fr/problems.ts'
import ProblemNote from '../src/parts/ProblemNote.vue'
import EntryText from '../src/parts/EntryText.vue'
import { entryPieces } from '../src/parts/entryPieces.ts'
import { bucketsOfRange, rangeOfBuckets } from '../src/parts/tideScale.ts'
import { asideTimes } from '../src/sections/inbox/asideTimes.ts'
import { points } from '../src/sections/watches/watchFigures.ts'
import { mounting } from './support.ts'

describe('the pieces of a text', () => {
  test('what was found is drawn whole, also where a reading rests on a part of it', () => {
    const text = 'awful Storm Petrel day'
    const hits = [{ start: 6, end: 18 }]
    const told = (spans: Parameters<typeof entryPieces>[2]) =>
      entryPieces(text, hits, spans).map((piece) => [piece.text, piece.hit, piece.sentiment])
    expect(told([{ start: 0, end: 11, contribution: -1 }])).toEqual([
      ['awful ', false, 'negative'],
      ['Storm Petrel', true, 'negative'],
      [' day', false, null],
    ])
    expect(told([{ start: 0, end: 5, contribution: -1 }])[2]).toEqual(['Storm Petrel', true, null])
  })

  const mark = fc
    .tuple(fc.nat(12), fc.nat(12))
    .map(([a, b]) => ({ start: Math.min(a, b), end: Math.max(a, b) + 1, contribution: a - b }))
  test('join to the text again, whatever is marked', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 12 }),
        fc.array(mark, { maxLength: 4 }),
        fc.array(mark, { maxLength: 4 }),
        (text, hits, spans) =>
          entryPieces(text, hits, spans)
            .map((p) => p.text)
            .join('') === text,
      ),
    )
  })
  test('show hits and moods, also where they overlap', () => {
    const html = mount(EntryText, {
      props: {
        text: 'kind crew late',
        hits: [{ start: 5, end: 14 }],
        spans: [
          { start: 0, end: 4, contribution: 2 },
          { start: 10, end: 14, contribution: -1 },
        ],
      },
    })
    expect(html.findAll('u').map((u) => [u.text(), u.classes()])).toEqual([['kind', ['positive']]])
    expect(html.findAll('mark').map((m) => [m.text(), m.classes()])).toEqual([['crew late', ['negative']]])
  })
  test('never turn text into markup', () => {
    expect(
      mount(EntryText, { props: { text: '<img src=x onerror=alert(1)>' } })
        .find('img')
        .exists(),
    ).toBe(false)
  })
})

describe('the scale of the tide line', () => {
  const place = { zone: 'Europe/London', unit: 'day' as const }
  const buckets: TideBucket[] = Array.from({ length: 90 }, (_, i) => ({
    at: new Date(
      Date.parse('2026-08-28T00:00:00+01:00') + i * 86_400_000 + (i > 57 ? 3_600_000 : 0),
    ).toISOString(),
    positive: 1,
    neutral: 0,
    negative: 0,
    unread: 0,
  }))

  test('what is chosen is what is framed, over the change of the clock', () => {
    fc.assert(
      fc.property(fc.nat(89), fc.nat(89), (a, b) => {
        const range = rangeOfBuckets(buckets, a, b, place)
        const framed = bucketsOfRange(buckets, range, place)
        return framed !== null && framed[0] === Math.min(a, b) && framed[1] === Math.max(a, b)
      }),
    )
  })
  test('the last days are the last bars, no range is all of them', () => {
    expect(bucketsOfRange(buckets, { last: 14 }, place)).toEqual([76, 89])
    expect(bucketsOfRange(buckets, null, place)).toEqual([0, 89])
    expect(bucketsOfRange(buckets, { from: '2020-01-01', to: '2020-01-02' }, place)).toBeNull()
  })
})

test('net sentiment is told in points with a true minus', () =>
  expect([points(0.5), points(-0.18), points(0)]).toEqual(['+50', '−18', '0']))

test('a thread is set aside until morning in the brand’s zone', () => {
  const friday = Date.parse('2026-11-27T22:30:00Z')
  expect(asideTimes(friday, 'Europe/London').map((t) => t.until)).toEqual([
    '2026-11-28T01:30:00.000Z',
    '2026-11-28T09:00:00.000Z',
    '2026-11-30T09:00:00.000Z',
  ])
  // On a Sunday tomorrow is Monday, and stands there once.
  const sunday = Date.parse('2026-11-29T10:00:00Z')
  expect(asideTimes(sunday, 'Europe/London').map((t) => t.name)).toEqual(['hours', 'tomorrow'])
})

describe('what went wrong', () => {
  const note = async (locale: 'en' | 'fr', ...[code, more]: Parameters<typeof problemOf>) =>
    mount(ProblemNote, {
      ...(await mounting({ locale })),
      props: { problem: new CallProblem(problemOf(code, more)) },
    })
      .text()
      .replace(/\s+/g, ' ')
  const near = {
    field: 'query.near[0].second',
    code: 'nearSame',
    message: '"maren" cannot be near itself.',
    value: 'maren',
  }
  test('is told in English as the server says it', async () => {
    expect(await note('en', 'invalid', { fields: [near] })).toContain('"maren" cannot be near itself.')
  })
  test('is told in French, the fields with what they hold', async () => {
    const text = await note('fr', 'invalid', { fields: [near] })
    expect(text).toContain("Rien n'a changé")
    expect(text).toContain('« maren » ne peut être proche de lui-même')
  })
  test('a reason keeps the words of the other side', async () => {
    const said = { values: { said: '404 Not here' } }
    const fields = [fieldProblem('address', 'lookFailed', said)]
    expect(await note('fr', 'publicProfile', { fields })).toContain(
      "Le profil n'a pas pu être lu : 404 Not here.",
    )
    expect(await note('en', 'publicProfile', { fields })).toContain('Looking at it failed: 404 Not here.')
  })
  test('every reason for which a watch is refused has its French', () => {
    const long = 'x'.repeat(300)
    const queries: Parameters<typeof checkQuery>[0][] = [
      {},
      { anyOf: [{ text: '!' }, { text: long }, { text: 'a', prefix: true }, { text: 'abc', slack: true }] },
      { allOf: [{ text: 'ferry' }], noneOf: [{ text: 'ferry' }], links: ['no link'] },
      { near: [{ first: { text: 'a1' }, second: { text: 'A1' }, within: 0 }] },
      { anyOf: Array.from({ length: 5000 }, (_, i) => ({ text: `w${i}` })) },
    ]
    const codes = new Set(queries.flatMap((query) => checkQuery(query).map(({ code }) => code)))
    expect(codes.size).toBeGreaterThan(7)
    expect([...codes].filter((code) => !(code in fieldProblems))).toEqual([])
  })
})

describe('messages', () => {
  const paths = (node: object, at = ''): string[] =>
    Object.entries(node).flatMap(([key, value]) =>
      typeof value === 'object' ? paths(value as object, `${at}${key}.`) : [`${at}${key}`],
    )
  const slots = (text: string) => [...new Set(text.match(/[{[]\w+[}\]]/g) ?? [])].sort()
  const at = (node: unknown, path: string) =>
    path.split('.').reduce((value, key) => (value as Record<string, unknown>)[key], node) as string
  test('both languages have the same texts with the same slots', () => {
    // What the server refuses is told in French; the English stands in its catalogue.
    const codes = [
      ...Object.keys(errorCatalogue).map((code) => `problem.${code}`),
      ...Object.keys(fieldProblems).map((code) => `problem.field.${code}`),
    ]
    expect(paths(fr).sort()).toEqual([...paths(en), ...codes].sort())
    const differ = paths(en).filter(
      (path) => JSON.stringify(slots(at(fr, path))) !== JSON.stringify(slots(at(en, path))),
    )
    expect(differ).toEqual([])
  })
  test('no French text was forgotten in English', () => {
    const alike =
      /^(?:Import|question|messages|questions|articles|pages|photos|forums|Aspects?|Points?|points|Mentions?|rival|troll|webhook|15 minutes|audience \{now\}|\{n\} (?:mention|points|copies).*|Date|Sentiment|[{(].*)$/
    const left = paths(en).filter((path) => {
      const text = at(en, path)
      return at(fr, path) === text && /[a-z]{4}/.test(text) && !alike.test(text)
    })
    expect(left).toEqual([])
  })
  test.each([
    [null, ['fr-CA', 'en'], 'fr'],
    ['en', ['fr'], 'en'],
    [null, ['de'], 'en'],
  ] as const)('stored %s, browser %j: %s', (stored, browser, expected) =>
    expect(languageOf(stored, browser)).toBe(expected),
  )
})
