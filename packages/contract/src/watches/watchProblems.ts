import { checkQuery, type QueryProblem } from '@murrabel/core/watches'
import type { WatchQueryDraft } from './schemas.ts'

const sentences: Record<QueryProblem['code'], (value: string) => string> = {
  nothingAsked: () =>
    'The watch has nothing to look for: give at least one term under "any of" or "all of", or a web address.',
  tooManyTerms: (v) =>
    `The watch has ${v} terms; at most 400 can be looked after. Split it into several watches.`,
  termEmpty: (v) =>
    `"${v}" holds no letter, figure or emoji, so it would match nothing or everything. Write a word.`,
  termTooLong: (v) => `"${v}" is too long: a term has at most 10 words and 120 characters.`,
  termAddress: (v) =>
    `"${v}" holds an address, and nothing is looked for inside of addresses: put it under "web addresses".`,
  prefixTooShort: (v) =>
    `"${v}" is too short to stand for all words that begin with it: give at least 3 letters.`,
  slackTooShort: (v) =>
    `"${v}" is too short for misspellings: only words of 6 letters or more can be misspelled and still be known.`,
  nearSame: (v) => `"${v}" cannot be near itself: give two different terms.`,
  nearWords: (v) => `"${v}" is no distance: give 1 to 50 words.`,
  linkInvalid: (v) =>
    `"${v}" is not a web address: write a host such as skerrivane.example, with a path if you like.`,
  linkTooWide: (v) =>
    `Under "${v}" anybody may have a name, so it would match addresses of all kinds: give a whole host.`,
  excludesItself: (v) => `"${v}" is both demanded and left out, so nothing could match.`,
}

/** What keeps a watch from being saved, as fields of the form. */
export function watchProblems(
  query: Partial<WatchQueryDraft>,
): { field: string; code: string; message: string; value?: string }[] {
  return checkQuery(query).map(({ path, code, value }) => ({
    field: path ? `query.${path}` : 'query',
    code,
    message: sentences[code](value ?? ''),
    value,
  }))
}
