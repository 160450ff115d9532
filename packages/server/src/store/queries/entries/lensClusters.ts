import type { Clusters, ClusterSums } from '@murrabel/core/measures'
import type { Database } from '../../database.ts'
import type { LensQuestion } from './lensSlices.ts'
import { lensWhere } from './lensWhere.ts'

interface ClusterRow extends ClusterSums {
  part: keyof Clusters
}

const none: ClusterSums = { clusters: 0, squares: 0, cross: 0, sizes: 0 }

/** What a lens's entries say, by story and by who wrote them: what copies one another, or comes from one hand, is one cluster. Unread ones are left out. */
export async function lensClusters(db: Database, { lens, context, reader }: LensQuestion): Promise<Clusters> {
  const { from, where } = lensWhere(lens, context, reader)
  where.add(`e.sentiment <> 'unread'`)
  const rows = await db.replica.rows<ClusterRow>(
    `SELECT part, count(*)::int AS clusters, sum(said * said)::float8 AS squares, sum(said * n)::float8 AS cross, sum(n * n)::float8 AS sizes
     FROM (
       SELECT CASE grouping(story, account) WHEN 0 THEN 'byBoth' WHEN 1 THEN 'byStory' ELSE 'byAuthor' END AS part, count(*) AS n,
         count(*) FILTER (WHERE sentiment = 'positive') - count(*) FILTER (WHERE sentiment = 'negative') AS said
       FROM (
         SELECT coalesce(e.story_id, e.id) AS story, coalesce(e.account_id, -e.id) AS account, e.sentiment
         FROM ${from} WHERE ${where.toString()}
       ) rows
       GROUP BY GROUPING SETS ((story), (account), (story, account))
     ) clusters
     GROUP BY part`,
    where.values,
  )
  const of = (part: keyof Clusters) => rows.find((row) => row.part === part) ?? none
  return { byStory: of('byStory'), byAuthor: of('byAuthor'), byBoth: of('byBoth') }
}
