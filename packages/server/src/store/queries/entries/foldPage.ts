import type { Lens, LensContext } from '@murrabel/core/lens'
import type { EntryPage } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { entryPage } from './entryPage.ts'
import { lensWhere } from './lensWhere.ts'

interface Asked {
  lens: Lens
  context: LensContext
  reader: Reader
}

interface Head {
  story: number
  /** The entry that comes first in the whole lens. */
  head: number
  /** Entries of the story in the lens. */
  n: number
}

/**
 * Keeps, of each story on a page, the row that comes first in the whole lens, and says how many copies it stands for.
 * Whether a row comes first is asked of the lens and not of the page, so that no page needs to know the others.
 */
export async function foldPage(db: Database, page: EntryPage, asked: Asked): Promise<EntryPage> {
  const heads = await headsOf(db, [...new Set(page.rows.flatMap((row) => row.storyId ?? []))], asked)
  return fold(page, heads)
}

/**
 * The rows that some threads have in a folded lens: what is in no story, and the first of each story they take part in,
 * from whichever thread that is.
 *
 * @param stories that these threads took part in before, as far as the reader has them on the screen
 */
export async function foldedThreads(
  db: Database,
  {
    threads,
    stories,
    limit,
    ...asked
  }: Asked & { threads: readonly number[]; stories: readonly number[]; limit: number },
): Promise<EntryPage> {
  const now = await db.rows<{ story: number }>(
    `SELECT DISTINCT story_id AS story FROM entries
     WHERE thread_id = ANY($1::bigint[]) AND brand_id = $2 AND story_id IS NOT NULL`,
    [threads, asked.reader.brandId],
  )
  const heads = await headsOf(db, [...new Set([...stories, ...now.map(({ story }) => story)])], asked)
  const choice = { threads, entries: heads.map(({ head }) => head) }
  return fold(await entryPage(db, { ...asked, after: null, limit, choice }), heads)
}

async function headsOf(
  db: Database,
  stories: readonly number[],
  { lens, context, reader }: Asked,
): Promise<Head[]> {
  if (!stories.length) return []
  const { from, where } = lensWhere(lens, context, reader)
  where.add(`e.story_id = ANY(${where.bind(stories)}::bigint[])`)
  const first = { newest: 'e.at DESC, e.id DESC', oldest: 'e.at, e.id', reach: 'e.reach DESC, e.id DESC' }
  const order = first[lens.order === 'oldest' || lens.order === 'reach' ? lens.order : 'newest']
  return db.rows<Head>(
    `SELECT e.story_id AS story, (array_agg(e.id ORDER BY ${order}))[1] AS head, count(*) AS n FROM ${from}
     WHERE ${where.toString()} GROUP BY 1`,
    where.values,
  )
}

function fold(page: EntryPage, heads: readonly Head[]): EntryPage {
  const byStory = new Map(heads.map((head) => [head.story, head]))
  const rows = page.rows.flatMap((row) => {
    const head = row.storyId === null ? undefined : byStory.get(row.storyId)
    if (!head) return [row]
    return head.head === row.id ? [{ ...row, copies: head.n - 1 }] : []
  })
  return { ...page, rows }
}
