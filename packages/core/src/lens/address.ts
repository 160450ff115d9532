import { cleanText } from '../text/index.ts'
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

const localTime = /^(\d{4})-(\d{2})-(\d{2})(?:T(\d{2}))?$/

/** Whether a local time is one of the calendar, in years that entries can be of. */
function isLocalTime(text: string): boolean {
  const found = localTime.exec(text)
  if (!found) return false
  const [year, month, day, hour] = found.slice(1).map((part) => Number(part ?? 0))
  const at = new Date(Date.UTC(year!, month! - 1, day))
  const exists = at.getUTCMonth() === month! - 1 && at.getUTCDate() === day
  return exists && year! >= 1900 && year! <= 2200 && hour! <= 23
}

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
  put('sentiment', list(lens.sentiments), list(base.sentiments))
  put('given', String(lens.givenTo), String(base.givenTo))
  const id = (value: number | null) => String(value ?? 'all')
  put('watch', id(lens.watch), id(base.watch))
  put('group', id(lens.group), id(base.group))
  put('language', list(lens.languages), list(base.languages))
  put('voice', id(lens.voice), id(base.voice))
  put('story', id(lens.story), id(base.story))
  put('phrase', lens.phrase, base.phrase)
  put('aspect', printAspect(lens.aspect), printAspect(base.aspect))
  put('hour', printWeekHour(lens.weekHour), printWeekHour(base.weekHour))
  put('tag', list(lens.tags), list(base.tags))
  put('kept', lens.kept ? 'yes' : 'all', base.kept ? 'yes' : 'all')
  put('words', lens.words, base.words)
  put('time', printRange(lens.range), printRange(base.range))
  put('order', lens.order, base.order)
  return pairs
}

export function printRange(range: LensRange | null): string {
  if (!range) return 'all'
  return 'last' in range ? `last-${range.last}` : `${range.from}_${range.to}`
}

const weekdays = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']

function printAspect(aspect: Lens['aspect']): string {
  if (!aspect) return 'all'
  return aspect.sentiment ? `${aspect.id}-${aspect.sentiment}` : String(aspect.id)
}

const printWeekHour = (hour: number | null) =>
  hour === null ? 'all' : `${weekdays[Math.floor(hour / 24)]}-${hour % 24}`

/** Names the address may hold; others belong to somebody else and are left alone. */
export const lensFields = [
  'state',
  'kind',
  'channel',
  'place',
  'sentiment',
  'given',
  'watch',
  'group',
  'language',
  'voice',
  'story',
  'phrase',
  'aspect',
  'hour',
  'tag',
  'kept',
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
  allowed: readonly T[] | RegExp,
  set: (lens: Lens, values: T[]) => void,
): Reader => {
  return (value, lens) => {
    if (value === 'all') {
      set(lens, [])
      return true
    }
    const values = [...new Set(value.split(','))] as T[]
    const known = (each: T) => (allowed instanceof RegExp ? allowed.test(each) : allowed.includes(each))
    if (values.length > lensLimits.list || !values.every(known)) return false
    set(lens, values)
    return true
  }
}

/** Ids of small tables are 4-byte integers; those of accounts and stories may be larger. */
const isId = (value: string) => /^[1-9]\d{0,9}$/.test(value) && Number(value) <= 2_147_483_647
const isLargeId = (value: string) => /^[1-9]\d{0,14}$/.test(value)

const idOf = (set: (lens: Lens, id: number | null) => void, fits = isId): Reader => {
  return (value, lens) => {
    if (value !== 'all' && !fits(value)) return false
    set(lens, value === 'all' ? null : Number(value))
    return true
  }
}

const idsOf = (set: (lens: Lens, ids: number[]) => void): Reader => {
  return (value, lens) => {
    const ids = value === 'all' ? [] : [...new Set(value.split(','))]
    if (ids.length > lensLimits.list || !ids.every(isId)) return false
    set(lens, ids.map(Number))
    return true
  }
}

/** Words that can be looked for: not too long, and nothing that no text holds. */
const isWords = (value: string) =>
  value.length <= lensLimits.words && cleanText(value, lensLimits.words) === value

const readers: Record<string, Reader> = {
  state: oneOf([...lensStates, 'any'], (lens, v) => (lens.state = v)),
  kind: listOf(lensKinds, (lens, v) => (lens.kinds = v)),
  channel: listOf(/^[a-z]{2,20}$/, (lens, v) => (lens.channels = v)),
  language: listOf(/^[a-z]{2,3}$/, (lens, v) => (lens.languages = v)),
  sentiment: listOf(lensSentiments, (lens, v) => (lens.sentiments = v)),
  order: oneOf(lensOrders, (lens, v) => (lens.order = v)),
  place: idsOf((lens, ids) => (lens.places = ids)),
  tag: idsOf((lens, ids) => (lens.tags = ids)),
  kept(value, lens) {
    if (value !== 'all' && value !== 'yes') return false
    lens.kept = value === 'yes'
    return true
  },
  given(value, lens) {
    const fixed = (['anybody', 'me', 'nobody', 'meOrNobody'] as const).find((each) => each === value)
    if (fixed === undefined && !isId(value)) return false
    lens.givenTo = fixed ?? Number(value)
    return true
  },
  watch: idOf((lens, id) => (lens.watch = id)),
  group: idOf((lens, id) => (lens.group = id)),
  voice: idOf((lens, id) => (lens.voice = id), isLargeId),
  story: idOf((lens, id) => (lens.story = id), isLargeId),
  phrase(value, lens) {
    if (!isWords(value)) return false
    lens.phrase = value
    return true
  },
  aspect(value, lens) {
    const found = /^([1-9]\d{0,9})(?:-(positive|neutral|negative))?$/.exec(value)
    if (value !== 'all' && !(found && isId(found[1]!))) return false
    lens.aspect = found && { id: Number(found[1]), sentiment: (found[2] as 'positive' | undefined) ?? null }
    return true
  },
  hour(value, lens) {
    const found = /^([a-z]{3})-(\d{1,2})$/.exec(value)
    const day = weekdays.indexOf(found?.[1] ?? '-')
    const hour = Number(found?.[2])
    if (value !== 'all' && (day < 0 || hour > 23)) return false
    lens.weekHour = value === 'all' ? null : day * 24 + hour
    return true
  },
  words(value, lens) {
    if (!isWords(value)) return false
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
  if (!from || !to || more !== undefined || !isLocalTime(from) || !isLocalTime(to)) return undefined
  const start = Date.parse(from.slice(0, 10))
  const end = Date.parse(to.slice(0, 10))
  if (from > to) return undefined
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
