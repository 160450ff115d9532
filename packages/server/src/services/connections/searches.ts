import type { WatchQueryDraft } from '@murrabel/contract'
import { parseTermWords } from '@murrabel/core/watches'
import type { Database } from '../../store/database.ts'
import { queriesInUse } from '../../store/queries/watches/watches.ts'

/** More terms than this are not searched for: networks take so many questions and no more. */
const termLimit = 300

/**
 * What to search networks for: the terms of all watches that are on, each once. Of a watch that demands several, one
 * is enough to find what it can match, the longest; what comes is matched here anyway.
 */
export async function searchTerms(db: Database, brandId: number): Promise<string[]> {
  const rows = await queriesInUse(db, brandId)
  const terms = new Map<string, string>()
  for (const { query } of rows)
    for (const term of asked(query)) {
      const words = parseTermWords(term)
      if (words) terms.set(words, words)
    }
  return [...terms.values()].slice(0, termLimit)
}

function asked({ anyOf = [], allOf = [], near = [], links = [] }: WatchQueryDraft): string[] {
  const longest = (texts: readonly string[]) => [...texts].sort((a, b) => b.length - a.length).slice(0, 1)
  const any = [...anyOf.map((term) => term.text), ...links]
  if (any.length) return any
  return longest([...allOf.map((term) => term.text), ...near.map((pair) => pair.first.text)])
}
