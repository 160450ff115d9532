import type { Lens } from '@murrabel/core/lens'
import type { AskedElsewhere } from '../shared/askedElsewhere.ts'
import type { LensQuestion } from './lensSlices.ts'
import { lensWhere } from './lensWhere.ts'

/** A text as phrases are counted in it: the title is a paragraph of its own. */
const wholeText = `CASE WHEN e.title IS NULL THEN e.text ELSE e.title || E'\\n\\n' || e.text END AS text`

/**
 * The question for a lens's texts, the newest first: to be asked by the worker that counts them.
 *
 * @param without a lens whose watch or group these must not be of
 */
export function lensTexts(
  { lens, context, reader }: LensQuestion,
  { limit, without = null }: { limit: number; without?: Lens | null },
): AskedElsewhere {
  const { from, where } = lensWhere(lens, context, reader)
  const watches = without
    ? without.watch !== null
      ? [without.watch]
      : context.watchesOf(without.group ?? 0)
    : []
  if (watches.length)
    where.add(
      `NOT EXISTS (SELECT 1 FROM mentions x WHERE x.entry_id = e.id AND x.watch_id = ANY(${where.bind([...watches])}::int[]))`,
    )
  const at = lens.watch === null ? 'e.at' : 'm.at'
  return {
    sql: `SELECT e.id, ${wholeText}, e.sentiment
      FROM ${from} WHERE ${where.toString()} ORDER BY ${at} DESC, e.id DESC LIMIT ${where.bind(limit)}`,
    values: where.values,
  }
}

/** The question for a brand's newest texts, a stretch of them at a time. */
export const newestTexts = (brandId: number, stretch: { from: number; limit: number }): AskedElsewhere => ({
  sql: `SELECT e.id, ${wholeText} FROM entries e WHERE e.brand_id = $1 AND e.direction = 'in' ORDER BY e.at DESC, e.id DESC OFFSET $2 LIMIT $3`,
  values: [brandId, stretch.from, stretch.limit],
})
