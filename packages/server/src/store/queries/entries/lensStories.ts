import type { Database } from '../../database.ts'
import type { LensQuestion } from './lensSlices.ts'
import { lensWhere } from './lensWhere.ts'

export interface StoryRow {
  id: number
  title: string | null
  text: string
  copies: number
}

/** The stories with the most copies in a lens, each told by its first copy. */
export function lensStories(
  db: Database,
  { lens, context, reader }: LensQuestion,
  limit: number,
): Promise<StoryRow[]> {
  const { from, where } = lensWhere(lens, context, reader)
  return db.replica.rows<StoryRow>(
    `SELECT s.id, f.title, f.text, s.copies FROM (
       SELECT e.story_id AS id, min(e.id) AS first, count(*) AS copies FROM ${from} WHERE e.story_id IS NOT NULL AND ${where.toString()}
       GROUP BY 1 HAVING count(*) > 1 ORDER BY 3 DESC, 1 LIMIT ${where.bind(limit)}) s
     JOIN entries f ON f.id = s.first ORDER BY s.copies DESC, s.id`,
    where.values,
  )
}
