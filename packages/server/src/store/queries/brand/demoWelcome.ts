import type { WelcomeAnswer } from '@murrabel/contract'
import type { Database } from '../../database.ts'
import { bucketOf, rollupCounts, type TideRow } from '../entries/tide.ts'
import { Where } from '../shared/where.ts'

type Said = NonNullable<WelcomeAnswer['demo']>['said'][number]

/** The brand of a demo, which is its first. */
export const demoBrand = (db: Database) =>
  db.one<{ id: number; name: string; zone: string }>('SELECT id, name, zone FROM brands ORDER BY id LIMIT 1')

/** Incoming entries of a brand by bucket and sentiment, from the first start on. */
export const dailyVolume = (
  db: Database,
  { id, starts }: { id: number; starts: readonly number[] },
): Promise<TideRow[]> => {
  const where = new Where()
  const bucket = bucketOf('r.hour', starts, where)
  where.add(`r.brand_id = ${where.bind(id)} AND r.hour >= ${where.bind(new Date(starts[0]!))}`)
  return db.rows(
    `SELECT ${bucket} AS bucket, ${rollupCounts}
     FROM rollups r
     WHERE ${where.toString()}
     GROUP BY 1
     ORDER BY 1`,
    where.values,
  )
}

export const channelCount = async (db: Database, id: number): Promise<number> =>
  (await db.one<{ n: number }>('SELECT count(DISTINCT channel) AS n FROM profiles WHERE brand_id = $1', [id]))
    ?.n ?? 0

/** The newest public words of each sentiment that fit into two lines. */
export const saidLately = (db: Database, { id, since }: { id: number; since: Date }): Promise<Said[]> =>
  db.rows(
    `SELECT DISTINCT ON (e.sentiment) e.id, e.text, coalesce(a.name, a.handle) AS author, p.network, e.at, e.sentiment
     FROM entries e
     JOIN profiles p ON p.id = e.profile_id
     JOIN accounts a ON a.id = e.account_id
     WHERE e.brand_id = $1 AND e.direction = 'in' AND NOT e.private AND e.at >= $2
       AND e.kind = 'review' AND e.language = 'en'
       AND length(e.text) BETWEEN 50 AND 120 AND e.sentiment <> 'unread'
     ORDER BY e.sentiment, e.at DESC`,
    [id, since],
  )
