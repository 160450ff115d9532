import { canonicalLink, linkUnder, tokenise, type Token } from '../text/index.ts'
import { Automaton, type Occurrence } from './automaton.ts'
import { nearest, Places } from './near.ts'
import type { NearPair, Term, WatchDoc, WatchQuery } from './query.ts'
import { parseTerm, squash } from './term.ts'

/** Where a watch hit: UTF-16 offsets into the text, and the part of the query that asked for it. */
export interface HitSpan {
  start: number
  end: number
  list: 'anyOf' | 'allOf' | 'near' | 'links'
  /** Index in that list. */
  index: number
}

export interface WatchHit {
  id: string | number
  /** In the order of the text. */
  spans: HitSpan[]
}

export interface CompiledWatches {
  /** The watches that match, in the order they were given. */
  match(doc: WatchDoc): WatchHit[]
  readonly size: number
}

interface Compiled {
  query: WatchQuery
  anyOf: { term: number; index: number }[]
  allOf: { term: number; index: number }[]
  near: { first: number; second: number; within: NearPair['within']; index: number }[]
  links: string[]
  /** A list holds a term that nothing can fulfil ("***"): the watch can never match. */
  impossible: boolean
}

type Role = 'any' | 'all' | 'none' | 'near'

/**
 * Builds ONE matcher over all terms of all watches. See `semantics.md` beside this file for what matches; its table
 * is the test. Never throws on a query: one that asks for nothing matches nothing (`checkQuery` says why).
 *
 * @example compileWatches([{ id: 1, anyOf: [{ text: 'grey heron' }] }]).match({ text: '#GreyHeron!' }).length === 1
 */
export function compileWatches(queries: readonly WatchQuery[]): CompiledWatches {
  const automaton = new Automaton()
  const wanted: { watch: number; role: Role }[][] = []
  const byHost = new Map<string, number[]>()

  const use = (term: Term | string, watch: number, role: Role): number => {
    const parsed = parseTerm(term)
    if (!parsed) return -1
    const id = automaton.add(parsed)
    ;(wanted[id] ??= []).push({ watch, role })
    return id
  }
  const compiled = queries.map((query, watch) => compileOne(query, (term, role) => use(term, watch, role)))
  compiled.forEach((one, watch) => {
    for (const pattern of one.links) {
      const canonical = canonicalLink(pattern)
      if (!canonical) continue
      const host = new URL(canonical).hostname
      byHost.set(host, [...(byHost.get(host) ?? []), watch])
    }
  })

  const stamp = new Uint32Array(queries.length)
  const vetoed = new Uint32Array(queries.length)
  let run = 0

  return {
    size: queries.length,
    match(doc) {
      run += 1
      const tokens = tokenise(doc.text)
      const found = automaton.occurrences(doc.text, tokens)
      const touched: number[] = []
      const touch = (watch: number) => {
        if (stamp[watch] === run) return
        stamp[watch] = run
        touched.push(watch)
      }
      for (const term of found.keys())
        for (const { watch, role } of wanted[term]!)
          if (role === 'none') vetoed[watch] = run
          else touch(watch)
      const links = byHost.size ? linksOf(doc, tokens) : []
      for (const link of links) for (const watch of watchesOfLink(link.link, byHost)) touch(watch)
      const places = new Places(doc.text, tokens)
      const hits: WatchHit[] = []
      for (const watch of touched.sort((a, b) => a - b)) {
        if (vetoed[watch] === run) continue
        const spans = judge(compiled[watch]!, { found, links, places }, doc)
        if (spans) hits.push({ id: queries[watch]!.id, spans })
      }
      return hits
    },
  }
}

function compileOne(query: WatchQuery, use: (term: Term | string, role: Role) => number): Compiled {
  let impossible = false
  const wants = (term: Term, role: Role) => {
    const id = use(term, role)
    if (id < 0 && role !== 'any') impossible = true
    return id
  }
  const anyOf = (query.anyOf ?? [])
    .map((term, index) => ({ term: wants(term, 'any'), index }))
    .filter((t) => t.term >= 0)
  const allOf = (query.allOf ?? []).map((term, index) => ({ term: wants(term, 'all'), index }))
  for (const term of query.noneOf ?? []) use(term, 'none')
  const near = (query.near ?? []).map((pair, index) => ({
    first: wants(pair.first, 'near'),
    second: wants(pair.second, 'near'),
    within: pair.within,
    index,
  }))
  const links = [...(query.links ?? [])]
  const asksAny = (query.anyOf?.length ?? 0) > 0 || links.length > 0
  if (!asksAny && !allOf.length && !near.length) impossible = true
  return { query, anyOf, allOf, near, links, impossible }
}

interface Evidence {
  found: Map<number, Occurrence[]>
  links: { link: string; start: number; end: number }[]
  places: Places
}

/** The spans on which a watch rests, or null when it does not match. */
function judge(watch: Compiled, evidence: Evidence, doc: WatchDoc): HitSpan[] | null {
  if (watch.impossible || !suits(watch.query, doc)) return null
  const spans: HitSpan[] = []
  const add = (
    list: HitSpan['list'],
    index: number,
    occurrences: readonly { start: number; end: number }[],
  ) => {
    for (const { start, end } of occurrences) spans.push({ start, end, list, index })
  }
  for (const { term, index } of watch.allOf) {
    const occurrences = evidence.found.get(term)
    if (!occurrences) return null
    add('allOf', index, occurrences)
  }
  let any = !watch.query.anyOf?.length && !watch.links.length
  for (const { term, index } of watch.anyOf) {
    const occurrences = evidence.found.get(term)
    if (!occurrences) continue
    any = true
    add('anyOf', index, occurrences)
  }
  watch.links.forEach((pattern, index) => {
    const under = evidence.links.filter(({ link }) => linkUnder(link, pattern))
    if (!under.length) return
    any = true
    add(
      'links',
      index,
      under.filter((l) => l.end > l.start),
    )
  })
  if (!any) return null
  for (const pair of watch.near) {
    const first = evidence.found.get(pair.first)
    const second = evidence.found.get(pair.second)
    const both = first && second ? nearest(first, second, pair.within, evidence.places) : null
    if (!both) return null
    add('near', pair.index, both)
  }
  return spans.sort((a, b) => a.start - b.start || b.end - a.end)
}

function suits({ channels, languages, voices }: WatchQuery, doc: WatchDoc): boolean {
  if (channels?.length && !(doc.channel !== undefined && channels.includes(doc.channel))) return false
  if (languages?.length && !languages.includes((doc.language ?? 'und').split('-')[0]!)) return false
  const voice = doc.voice === undefined ? undefined : squash(doc.voice.replace(/^@/, ''))
  const named = (list: readonly string[]) =>
    voice !== undefined && list.some((v) => squash(v.replace(/^@/, '')) === voice)
  if (voices?.only?.length && !named(voices.only)) return false
  return !(voices?.without?.length && named(voices.without))
}

function linksOf(doc: WatchDoc, tokens: readonly Token[]): Evidence['links'] {
  const links: Evidence['links'] = []
  for (const token of tokens)
    if (token.kind === 'link')
      links.push({ link: doc.text.slice(token.start, token.end), start: token.start, end: token.end })
  for (const link of doc.links ?? []) links.push({ link, start: 0, end: 0 })
  return links
}

function* watchesOfLink(link: string, byHost: Map<string, number[]>): Generator<number> {
  const canonical = canonicalLink(link)
  if (!canonical) return
  let host = new URL(canonical).hostname
  for (;;) {
    yield* byHost.get(host) ?? []
    const dot = host.indexOf('.')
    if (dot < 0) return
    host = host.slice(dot + 1)
  }
}
