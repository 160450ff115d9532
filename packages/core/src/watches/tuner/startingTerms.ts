import { foldAccents } from '../../text/index.ts'
import type { Term, WatchQuery } from '../query.ts'

export interface StartingBrand {
  name: string
  nicknames: readonly string[]
  people: readonly string[]
  places: readonly string[]
  products: readonly string[]
  rivals: readonly string[]
  links: readonly string[]
}

export interface StartingWatch {
  name: string
  group: 'brand' | 'people' | 'places' | 'products' | 'rivals' | 'links'
  query: Omit<WatchQuery, 'id'>
}

const slackLetters = 6
/** Generic words that follow a name and do not make it. */
const generic = /\s+(?:ferries|ferry|line|lines|company|group|shop|hotel|limited|ltd|plc|inc|gmbh|sa|sarl)$/i

/**
 * Watches to begin with, from who the brand is: its names with misspellings (a phrase finds its #tag and @handle by
 * itself), one watch for each person, product and rival, the places together, and the web addresses. A person's or
 * place's name is asked near the brand's where it is a single common word.
 */
export function startingTerms(brand: StartingBrand): StartingWatch[] {
  const watches: StartingWatch[] = []
  const names = unique([brand.name, brand.name.replace(generic, ''), ...brand.nicknames])
  const short = unique([brand.name.replace(generic, '')])
  if (names.length)
    watches.push({
      name: brand.name,
      group: 'brand',
      query: { anyOf: names.map(nameTerm), links: [...brand.links] },
    })
  for (const group of ['people', 'products', 'rivals'] as const)
    for (const name of unique(brand[group])) {
      const single = !name.trim().includes(' ') && group === 'people'
      const query = single
        ? {
            near: short.map((other) => ({
              first: { text: name, exactCase: true },
              second: nameTerm(other),
              within: 'paragraph' as const,
            })),
          }
        : { anyOf: [nameTerm(name)] }
      watches.push({ name, group, query })
    }
  const places = unique(brand.places)
  if (places.length)
    watches.push({
      name: places.length > 1 ? `${brand.name}: places` : places[0]!,
      group: 'places',
      query: { anyOf: places.map(nameTerm) },
    })
  if (brand.links.length)
    watches.push({ name: brand.links[0]!, group: 'links', query: { links: [...brand.links] } })
  return watches
}

function nameTerm(text: string): Term {
  const words = text.trim().split(/\s+/)
  return words.some((word) => word.length >= slackLetters)
    ? { text: text.trim(), slack: true }
    : { text: text.trim() }
}

const unique = (names: readonly string[]) => {
  const seen = new Set<string>()
  return names
    .map((name) => name.trim())
    .filter((name) => {
      const key = foldAccents(name)
      if (!key || seen.has(key)) return false
      seen.add(key)
      return true
    })
}

/**
 * Spellings of a name that people type by mistake and one letter off does not reach: words run together or apart, doubled letters dropped.
 *
 * @example misspellings('Orrin').slice(0, 2) // ["orin"]
 */
export function misspellings(name: string): string[] {
  const folded = foldAccents(name.trim())
  const found = new Set<string>()
  if (folded.includes(' ')) found.add(folded.replace(/\s+/g, ''))
  if (folded.includes(' ')) found.add(folded.replace(/\s+/g, '-'))
  const single = folded.replace(/([a-z])\1/g, '$1')
  if (single !== folded) found.add(single)
  found.delete(folded)
  return [...found]
}
