import { titles } from '../people/index.ts'
import type { SlotValues } from './patterns.ts'

/** What is known in a thread that a pattern can be filled with. */
export interface KnownInThread {
  /** The customer's name as it is written; null: there is none. */
  name: string | null
  place: string | null
  /** The visit that the thread is about: its route, and when (ISO 8601). */
  visit: { route: string; at: string } | null
  /** Who answers. */
  colleague: string
}

/**
 * What somebody is called when they are greeted: the given name of a name of two words and more. Handles and single words are no name.
 *
 * @example givenName('Dr. Odile Marchetaux') // "Odile"
 * @example givenName('lowtide.sal') // null
 */
export function givenName(name: string | null): string | null {
  if (name === null) return null
  const inOrder = /^([^,]+), *([^,]+)$/.exec(name.trim())
  const words = (inOrder ? `${inOrder[2]} ${inOrder[1]}` : name.trim())
    .split(/\s+/)
    .filter((word) => !titles.has(word.toLowerCase().replace(/\.$/, '')))
  const [given] = words
  const isWord = (word: string) => /^\p{L}[\p{L}'’.-]*$/u.test(word)
  if (!given || words.length < 2 || words.length > 5 || !words.every(isWord)) return null
  return /^\p{L}{2,}/u.test(given) && /\p{Lu}/u.test(given[0]!) ? given : null
}

/**
 * What the slots are filled with, in the language of the text.
 *
 * @param language BCP 47; `und`: as in English
 * @param zone IANA name of the brand's time zone
 * @param now epoch milliseconds
 */
export function slotValues(
  { name, place, visit, colleague }: KnownInThread,
  { language, zone, now }: { language: string; zone: string; now: number },
): SlotValues {
  const locale = language === 'und' || language === 'en' ? 'en-GB' : language
  const day = (at: number) =>
    new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'long', timeZone: zone }).format(at)
  return {
    name: givenName(name),
    place,
    visit:
      visit && (visit.route ? `${visit.route}, ${day(Date.parse(visit.at))}` : day(Date.parse(visit.at))),
    colleague,
    date: day(now),
  }
}
