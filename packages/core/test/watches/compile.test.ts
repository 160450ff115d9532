import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { checkQuery, compileWatches, explain, type WatchQuery } from '@murrabel/core/watches'

describe('compileWatches', () => {
  test('says where each part of the query hit, in the untouched text', () => {
    const text = 'The #GreyHeron met the grey heron’s Ｆｅｒｒｙ'
    const [hit] = compileWatches([
      { id: 'w', anyOf: [{ text: 'grey heron' }], allOf: [{ text: 'ferry' }] },
    ]).match({ text })
    expect(hit?.spans.map((s) => [s.list, text.slice(s.start, s.end)])).toEqual([
      ['anyOf', '#GreyHeron'],
      ['anyOf', 'grey heron'],
      ['allOf', 'Ｆｅｒｒｙ'],
    ])
  })

  test('channels, languages and voices narrow a watch', () => {
    const query: WatchQuery = {
      id: 1,
      anyOf: [{ text: 'boat' }],
      channels: ['pages'],
      languages: ['en'],
      voices: { without: ['@gideon.whelk'] },
    }
    const compiled = compileWatches([query])
    const doc = { text: 'a boat', channel: 'pages', language: 'en-GB', voice: 'ness' }
    expect(compiled.match(doc)).toHaveLength(1)
    expect(compiled.match({ ...doc, channel: 'maps' })).toHaveLength(0)
    expect(compiled.match({ ...doc, language: 'fr' })).toHaveLength(0)
    expect(compiled.match({ ...doc, voice: 'Gideon.Whelk' })).toHaveLength(0)
    expect(explain({ ...doc, channel: 'maps' }, query).reasons).toEqual([{ kind: 'channel' }])
  })

  test('links beside the text count', () => {
    const compiled = compileWatches([{ id: 1, links: ['orrin.example'] }])
    expect(compiled.match({ text: 'look', links: ['https://shop.orrin.example/x'] })).toHaveLength(1)
  })

  const word = fc.constantFrom(
    'grey',
    'heron',
    'boat',
    'ferry',
    'storm',
    'petrel',
    'late',
    'skerrivane',
    'orrin',
  )
  const term = fc.record({ text: fc.array(word, { minLength: 1, maxLength: 3 }).map((w) => w.join(' ')) })
  const query = fc.record({
    anyOf: fc.array(term, { maxLength: 3 }),
    allOf: fc.array(term, { maxLength: 2 }),
    noneOf: fc.array(term, { maxLength: 2 }),
  })
  const text = fc.array(word, { maxLength: 20 }).map((w) => w.join(' '))

  test('many watches together find what each finds alone', () => {
    fc.assert(
      fc.property(fc.array(query, { maxLength: 12 }), text, (queries, t) => {
        const named = queries.map((q, id) => ({ ...q, id }))
        const together = compileWatches(named)
          .match({ text: t })
          .map((h) => h.id)
        const alone = named.filter((q) => compileWatches([q]).match({ text: t }).length).map((q) => q.id)
        return JSON.stringify(together) === JSON.stringify(alone)
      }),
    )
  })

  test('agrees with a plain search over the words', () => {
    const has = (t: string, phrase: string) => ` ${t} `.includes(` ${phrase} `)
    fc.assert(
      fc.property(query, text, (q, t) => {
        const asks = q.anyOf.length + q.allOf.length > 0
        const expected =
          asks &&
          (q.anyOf.length === 0 || q.anyOf.some((each) => has(t, each.text))) &&
          q.allOf.every((each) => has(t, each.text)) &&
          !q.noneOf.some((each) => has(t, each.text))
        return compileWatches([{ ...q, id: 0 }]).match({ text: t }).length > 0 === expected
      }),
    )
  })

  test('spans hold the text that was asked for', () => {
    fc.assert(
      fc.property(query, text, (q, t) => {
        const [hit] = compileWatches([{ ...q, id: 0 }]).match({ text: t })
        return (hit?.spans ?? []).every(
          (s) => t.slice(s.start, s.end) === (s.list === 'anyOf' ? q.anyOf : q.allOf)[s.index]!.text,
        )
      }),
    )
  })
})

describe('checkQuery', () => {
  const long = 'x'.repeat(121)
  test.each<[string, Omit<WatchQuery, 'id'>, string[]]>([
    ['nothing to look for', {}, [':nothingAsked']],
    ['only exclusions', { noneOf: [{ text: 'bird' }] }, [':nothingAsked']],
    ['a lone wildcard', { anyOf: [{ text: '*' }] }, ['anyOf[0]:termEmpty']],
    ['a short prefix', { anyOf: [{ text: 'fe*' }] }, ['anyOf[0]:prefixTooShort']],
    ['a short misspelling', { anyOf: [{ text: 'boat', slack: true }] }, ['anyOf[0]:slackTooShort']],
    ['a long term', { anyOf: [{ text: long }] }, ['anyOf[0]:termTooLong']],
    [
      '10,000 terms',
      { anyOf: Array.from({ length: 10_000 }, (_, i) => ({ text: `t${i}` })) },
      [':tooManyTerms'],
    ],
    ['an ending that anybody may stand under', { links: ['co.uk'] }, ['links[0]:linkTooWide']],
    ['an address for a term', { anyOf: [{ text: 'orrin.example' }] }, ['anyOf[0]:termAddress']],
    ['a mail address for a term', { allOf: [{ text: 'ness@orrin.example' }] }, ['allOf[0]:termAddress']],
    ['a link that is none', { links: ['not a link'] }, ['links[0]:linkInvalid']],
    [
      'near itself',
      { near: [{ first: { text: 'a b' }, second: { text: 'A-B' }, within: 3 }] },
      ['near[0].second:nearSame'],
    ],
    [
      'an odd distance',
      { near: [{ first: { text: 'a' }, second: { text: 'b' }, within: 0 }] },
      ['near[0].within:nearWords'],
    ],
    [
      'demanded and excluded',
      { allOf: [{ text: 'Boat' }], noneOf: [{ text: 'boat' }] },
      ['noneOf[0]:excludesItself'],
    ],
    ['a sound one', { anyOf: [{ text: 'skerrivane', slack: true }], links: ['orrin.example'] }, []],
  ])('%s', (_, query, expected) => {
    expect(checkQuery(query).map((p) => `${p.path}:${p.code}`)).toEqual(expected)
  })
})
