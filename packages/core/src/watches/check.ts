import { canonicalLink, isPublicSuffix, tokenise } from '../text/index.ts'
import { watchLimits, type Term, type WatchQuery } from './query.ts'
import { parseTerm, slackLetters } from './term.ts'

export type QueryProblemCode =
  | 'nothingAsked'
  | 'tooManyTerms'
  | 'termEmpty'
  | 'termTooLong'
  | 'termAddress'
  | 'prefixTooShort'
  | 'slackTooShort'
  | 'nearSame'
  | 'nearWords'
  | 'linkInvalid'
  | 'linkTooWide'
  | 'excludesItself'

export interface QueryProblem {
  /** Where: "anyOf[2]", "near[0].second", or "" for the whole. */
  path: string
  code: QueryProblemCode
  /** The text in question, where there is one. */
  value?: string
}

/**
 * Everything that keeps a watch from being saved, each with its place; empty when it is sound.
 *
 * @example checkQuery({ anyOf: [{ text: '*' }] }).length // 1
 */
export function checkQuery(query: Omit<WatchQuery, 'id'>): QueryProblem[] {
  const { anyOf = [], allOf = [], noneOf = [], near = [], links = [] } = query
  const count = anyOf.length + allOf.length + noneOf.length + 2 * near.length
  // Looked at first and alone: ten thousand lines of other complaints would help nobody.
  if (count > watchLimits.terms || links.length > watchLimits.links)
    return [{ path: '', code: 'tooManyTerms', value: String(Math.max(count, links.length)) }]
  const problems: QueryProblem[] = []
  if (!anyOf.length && !allOf.length && !near.length && !links.length)
    problems.push({ path: '', code: 'nothingAsked' })
  const lists = { anyOf, allOf, noneOf }
  for (const [name, list] of Object.entries(lists))
    list.forEach((term, i) => problems.push(...checkTerm(term, `${name}[${i}]`)))
  near.forEach((pair, i) => {
    problems.push(
      ...checkTerm(pair.first, `near[${i}].first`),
      ...checkTerm(pair.second, `near[${i}].second`),
    )
    if (sameTerm(pair.first, pair.second))
      problems.push({ path: `near[${i}].second`, code: 'nearSame', value: pair.second.text })
    const { within } = pair
    if (
      typeof within === 'number' &&
      !(Number.isInteger(within) && within >= 1 && within <= watchLimits.nearWords)
    )
      problems.push({ path: `near[${i}].within`, code: 'nearWords', value: String(within) })
  })
  links.forEach((link, i) => {
    const canonical = canonicalLink(link)
    const code = !canonical
      ? 'linkInvalid'
      : isPublicSuffix(new URL(canonical).hostname)
        ? 'linkTooWide'
        : null
    if (code) problems.push({ path: `links[${i}]`, code, value: link })
  })
  noneOf.forEach((term, i) => {
    if (allOf.some((other) => sameTerm(term, other)))
      problems.push({ path: `noneOf[${i}]`, code: 'excludesItself', value: term.text })
  })
  return problems
}

function checkTerm(term: Term, path: string): QueryProblem[] {
  const value = term.text
  if (value.length > watchLimits.termLength) return [{ path, code: 'termTooLong', value: value.slice(0, 40) }]
  const parsed = parseTerm(term)
  if (!parsed) return [{ path, code: 'termEmpty', value }]
  // Nothing is looked for inside addresses, so that it would never be found.
  if (tokenise(value).some(({ kind }) => kind === 'link' || kind === 'email'))
    return [{ path, code: 'termAddress', value }]
  if (parsed.words.length > watchLimits.termWords) return [{ path, code: 'termTooLong', value }]
  const last = parsed.words[parsed.words.length - 1] ?? ''
  if (parsed.prefix && last.length < watchLimits.prefixLetters)
    return [{ path, code: 'prefixTooShort', value }]
  if (parsed.slack && !parsed.words.some((w) => w.length >= slackLetters))
    return [{ path, code: 'slackTooShort', value }]
  return []
}

function sameTerm(a: Term, b: Term): boolean {
  const one = parseTerm(a)
  const two = parseTerm(b)
  return one !== null && two !== null && one.kind === two.kind && one.words.join(' ') === two.words.join(' ')
}
