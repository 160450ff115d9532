import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import {
  misspellings,
  precisionOf,
  proposeAdditions,
  proposeExclusions,
  spreadSample,
  startingTerms,
  verdictOf,
} from '@murrabel/core/tuner'
import { compileWatches } from '@murrabel/core/watches'

describe('precision', () => {
  test('by the quantiles of Beta(10, 2)', () => {
    const found = precisionOf(9, 10)
    expect(found.value).toBeCloseTo(10 / 12, 12)
    // P(X ≤ x) of Beta(10, 2) is x^10 (11 - 10 x).
    const share = (x: number) => x ** 10 * (11 - 10 * x)
    expect(share(found.low)).toBeCloseTo(0.05, 8)
    expect(share(found.high)).toBeCloseTo(0.95, 8)
  })
  test.each([
    [0, 0, true],
    [9, 9, true],
    [5, 10, false],
  ])('%s of %s marks: too few %s', (on, marked, tooFew) =>
    expect(precisionOf(on, marked).tooFew).toBe(tooFew),
  )
  test('more marks narrow the interval', () => {
    const width = (n: number) => precisionOf(n * 0.8, n).high - precisionOf(n * 0.8, n).low
    expect(width(100)).toBeLessThan(width(20))
  })
})

test.each([
  [0, 5, 20, 0, 'nothing'],
  [300, 5, 6, 0, 'tooLittleMarked'],
  [300, 10, 20, 0, 'tooWide'],
  [300, 24, 30, 500, 'tooWide'],
  [300, 30, 30, 200, 'tooNarrow'],
  [300, 30, 30, 10, 'wellCut'],
  [300, 27, 30, 10, 'wellCut'],
  [300, 26, 31, 10, 'unclear'],
] as const)('%s hits, %s of %s on topic, %s missing: %s', (hits, on, marked, missing, verdict) =>
  expect(verdictOf({ hits, precision: precisionOf(on, marked), missing })).toBe(verdict),
)

const ferry = [
  'The skerrivane boat was late',
  'Lovely crew on the skerrivane ferry',
  'Skerrivane lost my bicycle',
  'Skerrivane ferry again late',
]
const wool = [
  'Cast on a skerrivane in grey wool',
  'My skerrivane needs more wool',
  'Skerrivane cardigan, wool is so soft',
]
const song = ['We sang skerrivane, verse by verse', 'The last verse of skerrivane made me cry']
const hits = [...ferry, ...wool, ...song].map((text, i) => ({ id: i + 1, text, onTopic: i < ferry.length }))

describe('exclusions', () => {
  test('find both traps, lose nothing, and promise what they do', () => {
    const found = proposeExclusions(hits, { without: ['skerrivane'] })
    expect(found.slice(0, 2)).toMatchObject([
      { words: ['wool'], offTopicRemoved: 3, onTopicLost: 0, removed: 3 },
      { words: ['verse'], offTopicRemoved: 2, onTopicLost: 0, removed: 2 },
    ])
    const watch = compileWatches([
      {
        id: 1,
        anyOf: [{ text: 'skerrivane' }],
        noneOf: found.slice(0, 2).map((e) => ({ text: e.words.join(' ') })),
      },
    ])
    expect(hits.filter(({ text }) => watch.match({ text }).length).map((h) => h.id)).toEqual([1, 2, 3, 4])
  })
  test('reach the hits that nobody marked, and name them', () => {
    const more = [...hits, { id: 20, text: 'More skerrivane wool' }, { id: 21, text: 'Skerrivane boat' }]
    expect(proposeExclusions(more, { without: ['skerrivane'] })[0]).toMatchObject({
      removed: 4,
      unmarked: [20],
    })
  })
  test.each([
    ['no marks', hits.map(({ id, text }) => ({ id, text }))],
    ['all on topic', hits.map((h) => ({ ...h, onTopic: true }))],
    [
      'nothing that separates',
      [
        { id: 1, text: 'skerrivane', onTopic: true },
        { id: 2, text: 'skerrivane', onTopic: false },
      ],
    ],
  ])('none with %s', (_, list) => expect(proposeExclusions(list, { without: ['skerrivane'] })).toEqual([]))
  test('never lose more than one in twenty marked on topic', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            text: fc
              .array(fc.constantFrom('boat', 'wool', 'verse', 'late', 'grey'), { minLength: 1, maxLength: 5 })
              .map((w) => w.join(' ')),
            onTopic: fc.boolean(),
          }),
          { maxLength: 40 },
        ),
        (list) => {
          const docs = list.map((d, i) => ({ ...d, id: i }))
          const on = docs.filter((d) => d.onTopic).length
          for (const { onTopicLost, offTopicRemoved } of proposeExclusions(docs, { without: [] })) {
            expect(onTopicLost).toBeLessThanOrEqual(Math.floor(on / 20))
            expect(offTopicRemoved).toBeGreaterThan(0)
          }
        },
      ),
    ))
})

test('additions: what goes with good hits and is said without them', () => {
  const good = Array.from({ length: 12 }, (_, i) => ({
    id: i,
    text: `Skerrivane and the storm petrel, day ${i}`,
    onTopic: true,
  }))
  const others = [
    ...Array.from({ length: 6 }, (_, i) => ({ id: 100 + i, text: `On the storm petrel today, seat ${i}` })),
    ...Array.from({ length: 300 }, (_, i) => ({ id: 200 + i, text: `Something else altogether, day ${i}` })),
  ]
  const [first] = proposeAdditions(good, others, { without: ['skerrivane'] })
  expect(first).toMatchObject({ words: ['storm', 'petrel'], onTopicWith: 12, hitsWith: 12, fresh: 6 })
  expect(first!.sample).toEqual([100, 101, 102, 103, 104, 105])
})

describe('sample', () => {
  const list = Array.from({ length: 200 }, (_, i) => ({ i, source: i % 20 === 0 ? 'news' : 'pages' }))
  test('is spread over time and gives small sources a voice', () => {
    const sample = spreadSample(list, 20, (x) => x.source)
    expect(sample).toHaveLength(20)
    expect(sample.filter((x) => x.source === 'news').length).toBeGreaterThanOrEqual(5)
    expect(sample.map((x) => x.i)).toEqual([...sample.map((x) => x.i)].sort((a, b) => a - b))
    expect(sample.some((x) => x.i > 150)).toBe(true)
  })
  test('of any list has the size asked for, nothing twice', () =>
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('a', 'b', 'c')),
        fc.integer({ min: 1, max: 30 }),
        (sources, count) => {
          const items = sources.map((s, i) => ({ s, i }))
          const sample = spreadSample(items, count, (x) => x.s)
          expect(new Set(sample).size).toBe(Math.min(count, items.length))
        },
      ),
    ))
})

describe('starting help', () => {
  const watches = startingTerms({
    name: 'Skerrivane Ferries',
    nicknames: ['Skerry'],
    people: ['Wynn Adair', 'Maren'],
    places: ['Port Ellery', 'Dunmarrow'],
    products: ['Storm Petrel'],
    rivals: ['Bluefathom Line'],
    links: ['skerrivane.example'],
  })
  test('one watch each for brand, people, products, rivals, places, addresses', () =>
    expect(watches.map((w) => [w.group, w.name])).toEqual([
      ['brand', 'Skerrivane Ferries'],
      ['people', 'Wynn Adair'],
      ['people', 'Maren'],
      ['products', 'Storm Petrel'],
      ['rivals', 'Bluefathom Line'],
      ['places', 'Skerrivane Ferries: places'],
      ['links', 'skerrivane.example'],
    ]))
  test.each([
    ['Skerivane is late', [0]],
    ['#SkerrivaneFerries again', [0]],
    ['Maren was rude', []],
    ['Maren of Skerrivane was rude', [0, 2]],
  ])('%s', (text, found) => {
    const compiled = compileWatches(watches.map((w, id) => ({ ...w.query, id })))
    expect(
      compiled
        .match({ text })
        .map((h) => h.id)
        .sort(),
    ).toEqual(found)
  })
  test('spellings that one letter off does not reach', () =>
    expect(misspellings('Port Ellery')).toEqual(['portellery', 'port-ellery', 'port elery']))
})
