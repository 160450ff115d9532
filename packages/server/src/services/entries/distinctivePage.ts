import type { Lens, LensContext } from '@murrabel/core/lens'
import type { EntryPage } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { entriesById, printKey, type PageKey } from '../../store/queries/entries/entryPage.ts'
import { phrasesOfLens } from '../watches/index.ts'

/**
 * The most distinctive first: entries ranked by how distinctive the phrases are that they hold, each phrase once. The rank is made
 * from the whole lens, so that it says the same as the phrase map beside it; a page is a stretch of it.
 */
export async function distinctivePage(
  parts: Pick<Context, 'db' | 'now' | 'textWorker'>,
  reader: Reader,
  { lens, context, after, limit }: { lens: Lens; context: LensContext; after: PageKey | null; limit: number },
): Promise<EntryPage> {
  const { ranked } = await phrasesOfLens(parts, reader, { lens, context, against: 'before' })
  const start = after ? Number(after.key) : 0
  const ids = ranked.slice(start, start + limit)
  const rows = await entriesById(parts.db, { ids, reader })
  const end = start + ids.length
  return { rows, next: end < ranked.length ? printKey({ key: end, id: ids[ids.length - 1]! }) : null }
}
