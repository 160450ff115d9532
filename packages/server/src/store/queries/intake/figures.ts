import type { Database } from '../../database.ts'

/** Public entries of a profile lately, whose figures may still grow; the newest. */
export const growingEntries = (
  db: Database,
  { brandId, profileId, days, limit }: { brandId: number; profileId: number; days: number; limit: number },
): Promise<{ outsideId: string }[]> => {
  // Each side by its own index: what people said by the brand's time, what we said by the profile's.
  const side = (direction: 'in' | 'out') => `(
       SELECT outside_id AS "outsideId", at
       FROM entries
       WHERE brand_id = $1 AND profile_id = $2 AND direction = '${direction}' AND NOT private AND deleted_at IS NULL
         AND outside_id IS NOT NULL AND at > now() - $3 * interval '1 day'
       ORDER BY at DESC
       LIMIT $4
     )`
  return db.rows<{ outsideId: string }>(
    `SELECT "outsideId"
     FROM (${side('in')} UNION ALL ${side('out')}) lately
     ORDER BY at DESC
     LIMIT $4`,
    [brandId, profileId, days, limit],
  )
}

interface Figures {
  outsideId: string
  likes?: number
  shares?: number
  reach?: number
}

/** How entries stand now; what is not told stays as it was. Answers the threads of those that changed. */
export const setFigures = (
  db: Database,
  { profileId, figures }: { profileId: number; figures: readonly Figures[] },
): Promise<{ threadId: number }[]> =>
  db.rows<{ threadId: number }>(
    `UPDATE entries e
     SET likes = coalesce(n.likes, e.likes), shares = coalesce(n.shares, e.shares), reach = coalesce(n.reach, e.reach)
     FROM unnest($2::text[], $3::int[], $4::int[], $5::int[]) AS n (outside_id, likes, shares, reach)
     WHERE e.profile_id = $1 AND e.outside_id = n.outside_id
       AND (coalesce(n.likes, e.likes), coalesce(n.shares, e.shares), coalesce(n.reach, e.reach))
         IS DISTINCT FROM (e.likes, e.shares, e.reach)
     RETURNING e.thread_id AS "threadId"`,
    [
      profileId,
      figures.map(({ outsideId }) => outsideId),
      figures.map(({ likes }) => likes ?? null),
      figures.map(({ shares }) => shares ?? null),
      figures.map(({ reach }) => reach ?? null),
    ],
  )
