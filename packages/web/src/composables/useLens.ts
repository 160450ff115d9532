import { computed, type ComputedRef } from 'vue'
import { useRoute, useRouter, type LocationQuery } from 'vue-router'
import { blankLens, lensNames, parseLens, printLens, type Lens, type LensProblem } from '@murrabel/core/lens'

/** The usual lens of each section. */
export const bases: Record<Lens['unit'], Lens> = {
  threads: {
    ...blankLens,
    unit: 'threads',
    state: 'open',
    origins: ['sent', 'watched'],
    givenTo: 'meOrNobody',
    range: { last: 14 },
    order: 'pressing',
  },
  entries: { ...blankLens, unit: 'entries', range: { last: 28 }, order: 'newest' },
  people: { ...blankLens, unit: 'people', range: { last: 28 } },
  followUps: { ...blankLens, unit: 'followUps', followUpState: 'open', followUpOwner: 'me' },
  log: { ...blankLens, unit: 'log', range: { last: 28 } },
}

export interface UseLens {
  lens: ComputedRef<Lens>
  problems: ComputedRef<LensProblem[]>
  /** The whole lens as pairs, for the server. */
  query: ComputedRef<[string, string][]>
  /** Changes part of the lens; each change is a step of the browser's history, unless it replaces the one before. */
  change(part: Partial<Lens>, options?: { replace?: boolean }): void
  reset(): void
}

export const lensQuery = (lens: Lens): [string, string][] => [
  ['unit', lens.unit],
  ...printLens(lens, { ...blankLens, unit: lens.unit }),
]

/** The lens parts among the pairs of an address. */
export const lensPairs = (query: LocationQuery): [string, string][] =>
  Object.entries(query).flatMap(([name, value]): [string, string][] =>
    typeof value === 'string' && lensNames.includes(name) ? [[name, value]] : [],
  )

/** The lens of the address, on top of the section's usual one. The address is the only place it is kept. */
export function useLens(unit: Lens['unit']): UseLens {
  const route = useRoute()
  const router = useRouter()
  const base = bases[unit]
  /** The lens parts of the address as one text: another thread or view under the same lens is no other lens. */
  const asked = computed(() => JSON.stringify(lensPairs(route.query)))
  const read = computed(() => parseLens(JSON.parse(asked.value) as [string, string][], base))
  const lens = computed(() => read.value.lens)

  function go(next: Lens, { replace = false } = {}): void {
    const kept = Object.fromEntries(Object.entries(route.query).filter(([name]) => !lensNames.includes(name)))
    const to = { query: { ...kept, ...Object.fromEntries(printLens(next, base)) } }
    void (replace ? router.replace(to) : router.push(to))
  }
  return {
    lens,
    problems: computed(() => read.value.problems),
    query: computed(() => lensQuery(lens.value)),
    change: (part, options) => go({ ...lens.value, ...part }, options),
    reset: () => go(base),
  }
}
