import { foldAccents } from '../text/index.ts'

/** What stands before or after a name and is none. */
export const titles: ReadonlySet<string> = new Set([
  'mr',
  'mrs',
  'ms',
  'miss',
  'dr',
  'prof',
  'sir',
  'herr',
  'frau',
  'mme',
  'mlle',
  'sr',
  'sra',
  'don',
  'dona',
])

/**
 * The words of a name, folded, without titles: what two spellings of it have in common.
 *
 * @example nameWords('Dr. Odile MARCHETAUX') // ["odile", "marchetaux"]
 */
export const nameWords = (name: string): string[] =>
  foldAccents(name)
    .split(/[^\p{L}\p{M}]+/u)
    .filter((word) => word && !titles.has(word))

/**
 * A name as it is looked for: folded, its words in the order of the alphabet.
 *
 * @example nameKey('Oakes, Perrin') // "oakes perrin"
 */
export const nameKey = (name: string): string => nameWords(name).sort().join(' ')

/**
 * The letters of a handle or of what stands before the @ of an address, in words where it divides them.
 *
 * @example handleWords('p_oakes.61') // ["p", "oakes"]
 */
export const handleWords = (handle: string): string[] =>
  nameWords(
    handle
      .replace(/^@/, '')
      .replace(/@.*$/, '')
      .replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2'),
  )

/** What a person is called and known by, as far as likeness looks at it. */
export interface NamedPerson {
  /** As they or a colleague wrote it; may be a handle again. */
  name: string
  handles: readonly string[]
}

/** Letters of a word that two spellings of it nearly always share. */
const stem = (word: string) => word.slice(0, 4)
/** Words shorter than this choose nobody. */
const shortest = 3

/**
 * Keys under which people who may be the same meet: only those who share one are compared. A name gives its words two and
 * two, so that order and middle names do not part people; a handle gives its letters.
 *
 * @returns at most a dozen keys, in no order that says anything
 */
export function meetingKeys({ name, handles }: NamedPerson): string[] {
  const keys = new Set<string>()
  const words = nameWords(name).slice(0, 4)
  for (const [i, one] of words.entries())
    for (const other of words.slice(i + 1)) {
      const [first, second] = [one, other].sort() as [string, string]
      if (Math.max(first.length, second.length) >= shortest) keys.add(`${stem(first)}+${stem(second)}`)
      // "P. Oakes" and p_oakes know the first letter alone.
      keys.add(`${one[0]}.${stem(other)}`)
      keys.add(`${other[0]}.${stem(one)}`)
    }
  for (const handle of handles) {
    const parts = handleWords(handle)
    const whole = parts.join('')
    if (whole.length >= 5) keys.add(`@${whole.slice(0, 6)}`)
    for (const [i, one] of parts.entries())
      for (const other of parts.slice(i + 1))
        if (other.length >= shortest) keys.add(`${one[0]}.${stem(other)}`)
  }
  if (words.length >= 2) {
    keys.add(`@${words.join('').slice(0, 6)}`)
    keys.add(`@${(words[0]![0] ?? '') + words.at(-1)!}`.slice(0, 7))
  }
  return [...keys].slice(0, 12)
}
