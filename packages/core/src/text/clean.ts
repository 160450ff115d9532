/** Characters that no text has a use for: controls but tab and line end, overrides of the writing direction, and non-characters. */
const unwanted =
  // eslint-disable-next-line no-control-regex -- control characters are what is meant
  /[\u0000-\u0008\u000e-\u001f\u007f-\u0084\u0086-\u009f\u202a-\u202e\u2066-\u2069\ufdd0-\ufdef\ufffe\uffff]/g
// eslint-disable-next-line no-control-regex -- all ways to end a line
const lineEnds = /\r\n?|[\u000b\u000c\u0085\u2028\u2029]/g
// Surrogates without their other half.
const loneHalves = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/g

/**
 * Cuts a text to a number of UTF-16 units, never through the middle of a character.
 *
 * @example cutText('heron', 3) // "her"
 */
export function cutText(text: string, longest: number): string {
  if (text.length <= longest) return text
  const last = text.charCodeAt(longest - 1)
  return text.slice(0, last >= 0xd800 && last <= 0xdbff ? longest - 1 : longest)
}

/**
 * A text from outside as it may be kept: well-formed, one way to end a line, no control characters, no longer than told.
 * Accents, emoji and spaces stay as they were written.
 *
 * @param longest UTF-16 units
 * @example cleanText('a\u0000b\r\nc', 100) === 'ab\nc'
 */
export function cleanText(text: string, longest: number): string {
  // Cut first, so that the rest costs no more than what is kept; twice, since cleaning only shortens.
  return cutText(
    cutText(text, longest * 2)
      .replace(lineEnds, '\n')
      .replace(loneHalves, '\ufffd')
      .replace(unwanted, ''),
    longest,
  )
}

/**
 * The same in one line, without spaces around it.
 *
 * @example cleanLine('  Storm \n Petrel ', 80) // "Storm Petrel"
 */
export const cleanLine = (text: string, longest: number): string =>
  cutText(
    cleanText(text, longest * 2)
      .replace(/\s+/g, ' ')
      .trim(),
    longest,
  ).trim()

/** Characters that show nothing: spaces, fillers, joiners, marks on nothing. */
const invisible = /^[\s\p{Cf}\p{M}\u115f\u1160\u3164\uffa0\u2800]*$/u

/**
 * Whether a text shows anything at all.
 *
 * @example isBlank(' \u200b') // true
 */
export const isBlank = (text: string): boolean => invisible.test(text)

const dayMs = 86_400_000
/** Nothing that is read here was written before. */
export const earliest = Date.UTC(1990, 0, 1)

/**
 * An instant from outside, if it can be one: from 1990 to a day from now.
 *
 * @param value epoch milliseconds, or what `Date.parse` takes
 * @param now epoch milliseconds
 * @returns epoch milliseconds; null for what is undated
 * @example cleanInstant('never', Date.UTC(2026, 10, 26)) // null
 */
export function cleanInstant(value: unknown, now: number): number | null {
  const at = typeof value === 'number' ? value : typeof value === 'string' ? Date.parse(value) : Number.NaN
  return at >= earliest && at <= now + dayMs ? Math.round(at) : null
}

/**
 * A number from outside within bounds; undefined for what is none.
 *
 * @example cleanNumber(7, { least: 0, most: 10 }) // 7
 */
export function cleanNumber(
  value: unknown,
  { least, most, whole = false }: { least: number; most: number; whole?: boolean },
): number | undefined {
  if (typeof value !== 'number' || !Number.isFinite(value)) return undefined
  const bounded = Math.min(most, Math.max(least, value))
  return whole ? Math.round(bounded) : bounded
}

/**
 * Scheme, host and port of a web address, as browsers name where a page comes from; null for anything else.
 *
 * @example originOf('https://ferry.example/fares?to=inchgarth') // 'https://ferry.example'
 */
export function originOf(address: string): string | null {
  const url = cleanUrl(address)
  return url === undefined ? null : new URL(url).origin
}

/**
 * A web address from outside; undefined for what is none, and for what is no http: it could be a script.
 *
 * @example cleanUrl('javascript:alert(1)') ?? null // null
 */
export function cleanUrl(value: unknown, longest = 2000): string | undefined {
  if (typeof value !== 'string' || value.length > longest) return undefined
  const text = value.trim()
  if (!/^https?:\/\//i.test(text) || !URL.canParse(text)) return undefined
  const url = new URL(text)
  return url.username || url.password ? undefined : url.href
}
