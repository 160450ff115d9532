import type { Lens, LensContext } from '@murrabel/core/lens'
import type { EntryPage } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { lensWhere } from './lensWhere.ts'

/**
 * Keeps, of each story on a page, the row that comes first in the whole lens, and says how many copies it stands for.
 * Whether a row comes first is asked of the lens and not of the page, so that no page needs to know the others.
 */
export async function foldPage(
  db: Database,
  page: EntryPage,
  { lens, context, reader }: { lens: Lens; context: LensContext; reader: Reader },
): Promise<EntryPage> {
  const stories = [...new Set(page.rows.flatMap((row) => row.storyId ?? []))]
  if (!stories.length) return page
  const { from, where } = lensWhere(lens, context, reader)
  where.add(`e.story_id = ANY(${where.bind(stories)}::bigint[])`)
  const first = { newest: 'e.at DESC, e.id DESC', oldest: 'e.at, e.id', reach: 'e.reach DESC, e.id DESC' }
  const order = first[lens.order === 'oldest' || lens.order === 'reach' ? lens.order : 'newest']
  const heads = await db.rows<{ story: number; head: number; n: number }>(
    `SELECT e.story_id AS story, (array_agg(e.id ORDER BY ${order}))[1] AS head, count(*) AS n FROM ${from}
     WHERE ${where.toString()} GROUP BY 1`,
    where.values,
  )
  const byStory = new Map(heads.map((head) => [head.story, head]))
  const rows = page.rows.flatMap((row) => {
    const head = row.storyId === null ? undefined : byStory.get(row.storyId)
    if (!head) return [row]
    return head.head === row.id ? [{ ...row, copies: head.n - 1 }] : []
  })
  return { ...page, rows }
}
