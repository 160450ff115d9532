import type { ReplySetting } from '@murrabel/core/replies'
import type { Database } from '../../database.ts'

/** Entries that an answer may be to. */
const askedAtMost = 20

/** What an answer in a thread is held against. */
export const replySetting = async (
  db: Database,
  { brandId, thread }: { brandId: number; thread: number },
): Promise<ReplySetting> =>
  (await db.one<ReplySetting>(
    `WITH whose AS (
       SELECT DISTINCT a.shown_as AS id, a.name FROM entries e JOIN accounts a ON a.id = e.account_id
       WHERE e.thread_id = $2 AND e.direction <> 'out'
     ), ids AS (
       SELECT DISTINCT id FROM whose WHERE id IS NOT NULL
     )
     SELECT b.promise_limit AS "moneyLimit",
       (SELECT coalesce(json_agg(DISTINCT name), '[]') FROM (
          SELECT name FROM whose UNION SELECT unnest(ARRAY[p.name, p.called]) FROM people p WHERE p.shown_as IN (SELECT id FROM ids)
        ) n WHERE name IS NOT NULL) AS names,
       (SELECT coalesce(json_agg(c.name), '[]') FROM memberships m JOIN colleagues c ON c.id = m.colleague_id WHERE m.brand_id = b.id) AS colleagues,
       (SELECT coalesce(json_agg(json_build_object('text', text, 'language', language) ORDER BY at), '[]') FROM (
          SELECT e.text, e.language, e.at FROM entries e
          WHERE e.thread_id = $2 AND e.direction <> 'out' AND e.deleted_at IS NULL
            AND e.at > coalesce((SELECT max(o.at) FROM entries o WHERE o.thread_id = $2 AND o.direction = 'out' AND NOT o.withdrawn), '-infinity')
          ORDER BY e.at DESC LIMIT ${askedAtMost}
        ) asked) AS asked,
       (SELECT o.text FROM ids JOIN accounts a ON a.shown_as = ids.id
          JOIN entries e ON e.account_id = a.id AND e.direction = 'in'
          JOIN entries o ON o.thread_id = e.thread_id AND o.direction = 'out' AND NOT o.withdrawn AND o.deleted_at IS NULL
        ORDER BY o.at DESC LIMIT 1) AS last
     FROM brands b WHERE b.id = $1`,
    [brandId, thread],
  ))!
