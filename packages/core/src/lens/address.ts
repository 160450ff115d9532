import {
  lensKinds,
  lensLimits,
  lensOrders,
  lensSentiments,
  lensStates,
  type Lens,
  type LensRange,
} from './lens.ts'

export interface LensProblem {
  /** The part of the address. */
  field: string
  value: string
}

const localTime = /^\d{4}-\d{2}-\d{2}(?:T\d{2})?$/

/**
 * The lens as pairs for the address; what equals `base` is left out, so that addresses stay short.
 *
 * @example printLens({ ...base, state: 'done' }, base) // [['state', 'done']]
 */
export function printLens(lens: Lens, base: Lens): [string, string][] {
  const pairs: [string, string][] = []
  const put = (name: string, value: string, baseValue: string) => {
    if (value !== baseValue) pairs.push([name, value])
  }
  const list = (values: readonly (string | number)[]) => values.join(',') || 'all'
  put('state', lens.state, base.state)
  put('kind', list(lens.kinds), list(base.kinds))
  put('channel', list(lens.channels), list(base.channels))
  put('place', list(lens.places), list(base.places))
  put('felt', list(lens.sentiments), list(base.sentiments))
  put('given', String(lens.givenTo), String(base.givenTo))
  put('watch', String(lens.watch ?? 'all'), String(base.watch ?? 'all'))
  put('words', lens.words, base.words)
  put('time', printRange(lens.range), printRange(base.range))
  put('order', lens.order, base.order)
  return pairs
}

export function printRange(range: LensRange | null): string {
  if (!range) return 'all'
  return 'last' in range ? `last-${range.last}` : `${range.from}_${range.to}`
}

/** Names the address may hold; others belong to somebody else and are left alone. */
export const lensFields = [
  'state',
  'kind',
  'channel',
  'place',
  'felt',
  'given',
  'watch',
  'words',
  'time',
  'order',
]

type Reader = (value: string, lens: Lens) => boolean

const oneOf = <T extends string>(allowed: readonly T[], set: (lens: Lens, value: T) => void): Reader => {
  return (value, lens) => {
    const found = allowed.find((each) => each === value)
    if (found === undefined) return false
    set(lens, found)
    return true
  }
}

const listOf = <T extends string>(
  allowed: readonly T[] | null,
  set: (lens: Lens, values: T[]) => void,
): Reader => {
  return (value, lens) => {
    if (value === 'all') {
      set(lens, [])
      return true
    }
    const values = [...new Set(value.split(','))] as T[]
    const known = (each: T) => (allowed ? allowed.includes(each) : /^[a-z]{2,20}$/.test(each))
    if (values.length > lensLimits.list || !values.every(known)) return false
    set(lens, values)
    return true
  }
}

const isId = (value: string) => /^[1-9]\d{0,14}$/.test(value)

const readers: Record<string, Reader> = {
  state: oneOf([...lensStates, 'any'], (lens, v) => (lens.state = v)),
  kind: listOf(lensKinds, (lens, v) => (lens.kinds = v)),
  channel: listOf(null, (lens, v) => (lens.channels = v)),
  felt: listOf(lensSentiments, (lens, v) => (lens.sentiments = v)),
  order: oneOf(lensOrders, (lens, v) => (lens.order = v)),
  place(value, lens) {
    const ids = value === 'all' ? [] : [...new Set(value.split(','))]
    if (ids.length > lensLimits.list || !ids.every(isId)) return false
    lens.places = ids.map(Number)
    return true
  },
  given(value, lens) {
    const fixed = (['anybody', 'me', 'nobody', 'meOrNobody'] as const).find((each) => each === value)
    if (fixed === undefined && !isId(value)) return false
    lens.givenTo = fixed ?? Number(value)
    return true
  },
  watch(value, lens) {
    if (value !== 'all' && !isId(value)) return false
    lens.watch = value === 'all' ? null : Number(value)
    return true
  },
  words(value, lens) {
    if (value.length > lensLimits.words) return false
    lens.words = value
    return true
  },
  time(value, lens) {
    const range = parseRange(value)
    if (range === undefined) return false
    lens.range = range
    return true
  },
}

/** Reads a range; undefined when it is none. */
export function parseRange(value: string): LensRange | null | undefined {
  if (value === 'all') return null
  const last = /^last-([1-9]\d{0,3})$/.exec(value)
  if (last) return Number(last[1]) <= lensLimits.days ? { last: Number(last[1]) } : undefined
  const [from, to, more] = value.split('_')
  if (!from || !to || more !== undefined || !localTime.test(from) || !localTime.test(to)) return undefined
  const start = Date.parse(from.slice(0, 10))
  const end = Date.parse(to.slice(0, 10))
  if (Number.isNaN(start) || Number.isNaN(end) || from > to) return undefined
  return (end - start) / 86_400_000 <= lensLimits.days ? { from, to } : undefined
}

/**
 * Reads a lens from the pairs of an address, on top of `base`. What cannot be read is named in `problems` and keeps the
 * base's value; names that are not the lens's are left alone.
 */
export function parseLens(
  pairs: Iterable<readonly [string, string]>,
  base: Lens,
): { lens: Lens; problems: LensProblem[] } {
  const lens: Lens = { ...base }
  const problems: LensProblem[] = []
  for (const [field, value] of pairs) {
    const read = Object.hasOwn(readers, field) ? readers[field] : undefined
    if (read && !read(value, lens)) problems.push({ field, value })
  }
  return { lens, problems }
}
