import type { Database } from '@murrabel/server'

const counted = (more: string, places = '') => `count(*)::int AS said, max(e.at) AS last,
  (count(*) FILTER (WHERE e.sentiment = 'negative') - count(*) FILTER (WHERE e.sentiment = 'positive'))::int AS unhappy
  FROM entries e JOIN accounts a ON a.id = e.account_id JOIN brands b ON b.id = a.brand_id ${places}
  WHERE e.direction = 'in' AND a.shown_as IS NOT NULL GROUP BY 1${more}`

/** People, and days of people, of whom something else is kept than a count of their entries and visits gives; none, as it should be. */
export async function totalsApart(db: Pick<Database, 'rows'>): Promise<unknown[]> {
  const totals = await db.rows(
    `SELECT coalesce(t.person_id, c.id) AS person, t.said, t.unhappy, t.last, t.visited, c.said AS counted, c.unhappy AS felt, c.last AS latest, c.visit
     FROM person_totals t
     FULL JOIN (
       SELECT id, coalesce(said, 0) AS said, coalesce(unhappy, 0) AS unhappy, last, visit
       FROM (SELECT a.shown_as AS id, ${counted('')}) s
       FULL JOIN (SELECT shown_as AS id, max(at) AS visit FROM visits GROUP BY 1) v USING (id)
     ) c ON c.id = t.person_id
     WHERE (t.said, t.unhappy, t.last, t.by_last, t.visited, t.by_latest) IS DISTINCT FROM
       (c.said, c.unhappy, c.last, -extract(epoch FROM c.last), c.visit, -extract(epoch FROM greatest(c.last, c.visit)))`,
  )
  const days = await db.rows(
    `SELECT * FROM person_days d
     FULL JOIN (
       SELECT *, coalesce(lag(day) OVER theirs, '-infinity') AS before, coalesce(lead(day) OVER theirs, 'infinity') AS after
       FROM (
         SELECT a.shown_as AS person, p.id AS place, (e.at AT TIME ZONE b.zone)::date AS day,
           ${counted(', 2, 3', 'CROSS JOIN LATERAL (VALUES (0), (e.place_id)) AS p (id)')}
       ) s
       WHERE place IS NOT NULL
       WINDOW theirs AS (PARTITION BY person, place ORDER BY day)
     ) c ON c.person = d.person_id AND c.place = d.place_id AND c.day = d.day
     WHERE (d.said, d.unhappy, d.last, d.previous, d.next) IS DISTINCT FROM (c.said, c.unhappy, c.last, c.before, c.after)`,
  )
  return [...totals, ...days]
}
