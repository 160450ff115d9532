import { blankLens, lensKinds, lensOrders, lensSentiments, printLens, type Lens } from '@murrabel/core/lens'

/** Draws numbers from a seed, the same in every run. */
export function drawing(seed: number): () => number {
  let state = seed
  return () => {
    state = (state * 1664525 + 1013904223) >>> 0
    return state / 2 ** 32
  }
}

const words = [
  'refund',
  'galley',
  'porpoises',
  'toilets',
  'bacon',
  'late',
  'crew',
  'thank you',
  'late -sorry',
]
const days = [7, 14, 28, 30, 90, 365]

/**
 * A lens that the interface can make: a section's usual one, narrowed by one to three phrases, at most times one of them.
 *
 * @param draw from 0 to 1, 1 not included
 */
export function randomLens(draw: () => number): Lens {
  const of = <T>(list: readonly T[]): T => list[Math.floor(draw() * list.length)]!
  const some = <T>(list: readonly T[], most: number): T[] => [
    ...new Set(Array.from({ length: 1 + Math.floor(draw() * most) }, () => of(list))),
  ]
  const unit = of(['threads', 'entries'] as const)
  const lens: Lens = { ...blankLens, unit, range: { last: of(days) } }
  if (unit === 'threads')
    Object.assign(lens, {
      state: of(['open', 'open', 'waiting', 'done', 'any']),
      givenTo: of(['meOrNobody', 'anybody', 'me', 'nobody']),
      order: of(['pressing', 'pressing', 'newest', 'oldest']),
      origins: of<Lens['origins']>([['sent', 'watched'], []]),
    })
  else lens.order = of(lensOrders.filter((order) => !['pressing', 'distinctive'].includes(order)))
  const narrow: (() => Partial<Lens>)[] = [
    () => ({ kinds: some(lensKinds, 3) }),
    () => ({ channels: some(['pages', 'maps'], 1) }),
    () => ({ places: some([1, 2, 3, 4, 5], 2) }),
    () => ({ sentiments: some(lensSentiments, 2) }),
    () => ({ watch: of([...Array(20).keys()]) + 1 }),
    () => ({ words: of(words) }),
    () => ({ tags: some([1, 2, 3, 4, 5], 2) }),
    () => ({ aspect: { id: 1 + Math.floor(draw() * 8), sentiment: of(['negative', null]) } }),
    () => ({ voice: 1 + Math.floor(draw() * 20_000), range: null }),
    () => ({ weekHour: Math.floor(draw() * 168) }),
    () => ({ kept: true, range: null }),
    () => ({ range: of([null, { from: '2026-10-01', to: '2026-10-07' }]) }),
  ]
  const times = of([0, 1, 1, 1, 2, 3])
  for (let i = 0; i < times; i++) Object.assign(lens, of(narrow)())
  return lens
}

export const lensAddress = (lens: Lens): string =>
  new URLSearchParams([['unit', lens.unit], ...printLens(lens, { ...blankLens, unit: lens.unit })]).toString()
