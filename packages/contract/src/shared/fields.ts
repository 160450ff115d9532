import { cleanLine, cleanText, isBlank } from '@murrabel/core/text'
import { array, number, object, string } from 'yup'

/** Largest id of a table whose ids are 4-byte integers, as all but the largest tables have. */
export const largestId = 2_147_483_647

/** An id. */
export const id = () => number().integer().positive().max(largestId)

/** Ids, at most so many. */
export const ids = (most: number) => array().of(id().required()).max(most)

const longest = 200_000

/** One line of text, cleaned: a name, a term, an address. Empty when it shows nothing. */
export const line = (most: number) =>
  string()
    .transform((value: unknown) => {
      if (typeof value !== 'string') return value
      const clean = cleanLine(value, longest)
      return isBlank(clean) ? '' : clean
    })
    .max(most)

/** An e-mail address; whether somebody reads it shows when it is written to. */
export const emailAddress = () =>
  line(254)
    .required('enter an e-mail address')
    .matches(/^[^\s@<>"]+@[^\s@<>"]+$/, 'this is not an e-mail address')

/** Text of several lines, cleaned. Empty when it shows nothing. */
export const lines = (most: number) =>
  string()
    .transform((value: unknown) => {
      if (typeof value !== 'string') return value
      const clean = cleanText(value, longest)
      return isBlank(clean) ? '' : clean.trim()
    })
    .max(most)

/** The edition of a thing as its changer saw it; left out: whatever it is now. */
export const edition = () => number().integer().min(0).max(largestId)

/** Text that is parsed by somebody else: taken as it is, but for what no database stores. */
export const plain = (most: number) =>
  string()
    .transform((value: unknown) => (typeof value === 'string' ? cleanText(value, most + 1) : value))
    .max(most)

/** A small file as the text of a field. */
export const fileSchema = object({ file: plain(2_000_000).required('the file is empty') })

const isoInstant = /^\d{4}-\d\d-\d\dT\d\d:\d\d(?::\d\d(?:\.\d{1,9})?)?(?:Z|[+-]\d\d:\d\d)$/

/** Whether a text is an instant as ISO 8601 writes it, in years that a calendar of ours reaches. */
export const isInstant = (text: string): boolean =>
  isoInstant.test(text) && Date.parse(text) >= 0 && Date.parse(text) < Date.UTC(2200, 0, 1)

/** An instant as ISO 8601 writes it. */
export const instant = () =>
  string()
    .max(40)
    .test('time', 'this is no time, such as 2026-12-01T09:00', (v) => v === undefined || isInstant(v))
