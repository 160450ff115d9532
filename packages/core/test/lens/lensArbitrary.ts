import fc from 'fast-check'
import {
  blankLens,
  lensParts,
  followUpKinds,
  followUpStates,
  logSubjects,
  lensKinds,
  lensOrders,
  lensOrigins,
  lensSentiments,
  lensStates,
  lensWishes,
  peopleOrders,
  personStandings,
  visitedValues,
  type Lens,
} from '@murrabel/core/lens'

const day = fc.integer({ min: 1, max: 28 }).map((n) => `2026-11-${String(n).padStart(2, '0')}`)
const span = fc.tuple(day, day).map(([a, b]) => (a <= b ? { from: a, to: b } : { from: b, to: a }))

/** Mostly null, so that lenses with many conditions still choose something. */
const rarely = <T>(arbitrary: fc.Arbitrary<T>) =>
  fc.oneof({ arbitrary: fc.constant(null), weight: 5 }, { arbitrary, weight: 1 })

/** Any lens over what was said; ids small enough that some exist, words among those the sample entries have. */
export const lensArbitrary: fc.Arbitrary<Lens> = fc.record({
  unit: fc.constantFrom('threads' as const, 'entries' as const),
  state: fc.constantFrom(...lensStates, 'any' as const),
  kinds: fc.subarray([...lensKinds]),
  origins: rarely(fc.subarray([...lensOrigins])).map((list) => list ?? []),
  channels: fc.subarray(['pages', 'maps', 'news', 'import']),
  places: fc.uniqueArray(fc.integer({ min: 1, max: 4 }), { maxLength: 3 }),
  sentiments: fc.subarray([...lensSentiments]),
  wishes: rarely(fc.subarray([...lensWishes])).map((list) => list ?? []),
  doubt: fc.oneof({ weight: 5, arbitrary: fc.constant(false) }, fc.constant(true)),
  givenTo: fc.oneof(
    fc.constantFrom(
      'anybody' as const,
      'me' as const,
      'mine' as const,
      'myTeams' as const,
      'nobody' as const,
      'meOrNobody' as const,
      'team-1' as const,
      'team-2' as const,
    ),
    fc.integer({ min: 1, max: 3 }),
  ),
  priority: fc.constantFrom('any' as const, 'any' as const, 'raised' as const, 'highest' as const),
  spam: fc.constantFrom('any' as const, 'any' as const, 'any' as const, 'only' as const, 'without' as const),
  watch: rarely(fc.integer({ min: 1, max: 3 })),
  group: rarely(fc.integer({ min: 1, max: 3 })),
  languages: rarely(fc.subarray(['en', 'fr', 'und'], { maxLength: 2 })).map((list) => list ?? []),
  voice: rarely(fc.integer({ min: 1, max: 4 })),
  story: rarely(fc.integer({ min: 1, max: 4 })),
  phrase: fc.constantFrom('', '', '', 'was late', 'the ferry', "o'brien", 'heron late', 'late herons'),
  aspect: rarely(
    fc.record({
      id: fc.integer({ min: 1, max: 2 }),
      sentiment: fc.option(fc.constantFrom('positive' as const, 'neutral' as const, 'negative' as const)),
    }),
  ),
  weekHour: rarely(fc.integer({ min: 0, max: 167 })),
  tags: fc.oneof(
    { weight: 5, arbitrary: fc.constant<number[]>([]) },
    fc.uniqueArray(fc.integer({ min: 1, max: 3 }), { maxLength: 2 }),
  ),
  kept: fc.oneof({ weight: 5, arbitrary: fc.constant(false) }, fc.constant(true)),
  uncaught: fc.oneof({ weight: 5, arbitrary: fc.constant(false) }, fc.constant(true)),
  words: fc.constantFrom('', 'late', 'fer', 'café', "crew's", 'heron late', "o'brien \\ 'x' & !y", '#dogs'),
  range: fc.oneof(
    fc.constant(null),
    fc.integer({ min: 1, max: 40 }).map((last) => ({ last })),
    span,
  ),
  order: fc.constantFrom(...lensOrders),
  named: fc.constant(''),
  standings: fc.constant([]),
  personTags: fc.constant([]),
  visited: fc.constant('any' as const),
  peopleOrder: fc.constant('said' as const),
  followUpState: fc.constant('any' as const),
  followUpKinds: fc.constant([]),
  followUpOwner: fc.constant('anybody' as const),
  followUpPlaces: fc.constant([]),
  logDoer: fc.constant('anybody' as const),
  logSubjects: fc.constant([]),
})

/** Any lens over follow-ups. */
export const followUpLensArbitrary: fc.Arbitrary<Lens> = fc
  .record({
    followUpState: fc.constantFrom(...followUpStates),
    followUpKinds: fc.subarray([...followUpKinds]),
    followUpOwner: fc.oneof(
      fc.constantFrom('anybody' as const, 'me' as const, 'nobody' as const),
      fc.integer({ min: 1, max: 3 }),
    ),
    followUpPlaces: fc.uniqueArray(fc.integer({ min: 1, max: 4 }), { maxLength: 2 }),
  })
  .map((parts) => ({ ...blankLens, unit: 'followUps' as const, ...parts }))

/** Any lens over the log. */
export const logLensArbitrary: fc.Arbitrary<Lens> = fc
  .record({
    said: lensArbitrary,
    logDoer: fc.oneof(
      fc.constantFrom('anybody' as const, 'me' as const, 'itself' as const),
      fc.integer({ min: 1, max: 3 }),
    ),
    logSubjects: fc.subarray([...logSubjects], { maxLength: 3 }),
  })
  .map(({ said, ...parts }) => ({ ...blankLens, unit: 'log' as const, range: said.range, ...parts }))

/** Any lens over people. */
export const peopleLensArbitrary: fc.Arbitrary<Lens> = fc
  .record({
    said: lensArbitrary,
    named: fc.constantFrom('', '', 'oakes', 'per oak', 'perrin@orrin', "o'b"),
    standings: rarely(fc.subarray([...personStandings], { minLength: 1, maxLength: 3 })),
    personTags: rarely(fc.subarray([1, 2, 3], { minLength: 1 })),
    visited: fc.constantFrom(...visitedValues),
    peopleOrder: fc.constantFrom(...peopleOrders),
  })
  .map(({ said, named, standings, personTags, visited, peopleOrder }) => ({
    ...blankLens,
    unit: 'people' as const,
    ...Object.fromEntries(
      (['channels', 'words', 'places', 'sentiments', 'range'] as const).map((field) => [field, said[field]]),
    ),
    named,
    standings: standings ?? [],
    personTags: personTags ?? [],
    visited,
    peopleOrder,
  }))

// Parts of other units never ask for anything here.
const parts = ['unit' as const, ...lensParts.entries.map(({ field }) => field)] satisfies (keyof Lens)[]
const asks = (lens: Lens, part: keyof Lens) => JSON.stringify(lens[part]) !== JSON.stringify(blankLens[part])

/** A lens that asks for one or two things, each as likely as the others. */
export const plainLensArbitrary: fc.Arbitrary<Lens> = fc
  .uniqueArray(fc.constantFrom(...parts), { minLength: 1, maxLength: 2 })
  .chain((chosen) =>
    fc.tuple(...chosen.map((part) => lensArbitrary.filter((lens) => asks(lens, part)))).map((lenses) => ({
      ...blankLens,
      ...Object.fromEntries(chosen.map((part, i) => [part, lenses[i]![part]])),
    })),
  )
