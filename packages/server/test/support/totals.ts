import type { Database } from '@murrabel/server'

/** People of whom something else is kept than a count of their entries gives; none, as it should be. */
export const totalsApart = (db: Pick<Database, 'rows'>): Promise<unknown[]> =>
  db.rows(
    `SELECT coalesce(t.person_id, c.id) AS person, t.said, t.unhappy, t.last, c.said AS counted, c.unhappy AS felt, c.last AS latest
     FROM person_totals t
     FULL JOIN (
       SELECT a.shown_as AS id, count(*)::int AS said, max(e.at) AS last,
         (count(*) FILTER (WHERE e.sentiment = 'negative') - count(*) FILTER (WHERE e.sentiment = 'positive'))::int AS unhappy
       FROM entries e JOIN accounts a ON a.id = e.account_id
       WHERE e.direction = 'in' AND a.shown_as IS NOT NULL GROUP BY 1
     ) c ON c.id = t.person_id
     WHERE (t.said, t.unhappy, t.last, t.by_last) IS DISTINCT FROM (c.said, c.unhappy, c.last, -extract(epoch FROM c.last))`,
  )
