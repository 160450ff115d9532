import { parsePhoneNumberFromString, type CountryCode } from 'libphonenumber-js'
import { searchWords } from '../lens/searchWords.ts'
import { cleanLine } from '../text/index.ts'

/**
 * An e-mail address in the form in which two are compared; null for what is none.
 *
 * @example readEmail(' Perrin.Oakes@Orrin.example ') // "perrin.oakes@orrin.example"
 */
export function readEmail(text: string): string | null {
  const address = cleanLine(text, 320).trim().toLowerCase()
  return address.length <= 254 &&
    /^[^\s@<>",;:()[\]\\]{1,64}@[^\s@<>",;:()[\]\\]+\.[^\s@<>",;:()[\]\\.]+$/u.test(address)
    ? address
    : null
}

/**
 * The words by which somebody is found: of their names, handles, addresses and numbers, as a whole and in their parts. The
 * lens's part "named" asks for the same words (`searchWords`).
 *
 * @example findingWords({ names: ['Perrin Oakes'], handles: ['p_oakes'], ways: [] }) // ["perrin", "oakes", "p_oakes", "p"]
 */
export function findingWords({
  names,
  handles,
  ways,
}: {
  names: readonly string[]
  handles: readonly string[]
  ways: readonly { kind: 'email' | 'phone'; value: string }[]
}): string[] {
  const texts = [
    ...names,
    ...handles,
    ...handles.map((handle) => handle.replace(/[^\p{L}\p{N}]+/gu, ' ')),
    ...ways.flatMap(({ kind, value }) =>
      kind === 'email'
        ? [value, value.replace(/[^\p{L}\p{N}]+/gu, ' ')]
        : [
            value.slice(1),
            parsePhoneNumberFromString(value)?.formatInternational() ?? '',
            nationalNumber(value),
          ],
    ),
  ]
  return [...new Set(texts.flatMap(searchWords))].filter((word) => word.length <= mostLetters)
}

/** Words longer than this are no part of a name. */
const mostLetters = 200

/** A number as it is dialled at home. */
const nationalNumber = (value: string): string => parsePhoneNumberFromString(value)?.formatNational() ?? ''

/**
 * A telephone number as E.164; null for what is none, and for a number without its country where none is given.
 *
 * @param country ISO 3166 code of the country that a number without one is in
 * @example readPhone('+44 7700 900142') // "+447700900142"
 */
export const readPhone = (text: string, country?: string): string | null => {
  const read = phoneOf(text, country)
  return 'number' in read ? read.number : null
}

/**
 * The same, with what is wrong with what is none: a spreadsheet has shortened it ("4.47E+11"), it lacks its country, or it is no number.
 *
 * @example phoneOf('07700 900142') // {"wrong":"country"}
 */
export function phoneOf(
  text: string,
  country?: string,
): { number: string } | { wrong: 'shortened' | 'country' | 'none' } {
  const given = cleanLine(text, 80)
    .trim()
    .replace(/^00(?=[1-9])/, '+')
  if (/\d[eE][+-]?\d/.test(given)) return { wrong: 'shortened' }
  if (/\p{L}/u.test(given.replace(/(ext|x)\.?\s*\d+$/i, ''))) return { wrong: 'none' }
  const number = parsePhoneNumberFromString(given, country as CountryCode | undefined)
  if (number?.isPossible()) return { number: number.number }
  const digits = given.replace(/\D/g, '').length
  return { wrong: !given.startsWith('+') && !country && digits >= 6 && digits <= 15 ? 'country' : 'none' }
}
