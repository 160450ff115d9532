import type { AskedOnce } from '@murrabel/core/replies'
import type { NearThread } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database } from '../../database.ts'
import { called } from '../people/called.ts'
import { addAccess, Where } from '../shared/where.ts'

/** From here on a word is common, however many more texts have it. */
export const commonFrom = 4000
/** Earlier entries that are looked at for one question, newest first. */
const lookedAtMost = 1500

/** Words as the index is asked for them: those that begin so. */
const asQuery = (forms: readonly string[]) =>
  forms.map((form) => `'${form.replace(/['\\]/g, '')}':*`).join(' | ')

export interface Asked {
  text: string
  language: string | null
  wish: string | null
  aspects: string[]
  placeName: string | null
  /** As the one who asks is called. */
  name: string | null
  visitRoute: string | null
  visitAt: Date | null
}

/** What is asked in a thread: everything of theirs since our last answer, or their last words; and what is known beside it. */
export const askedIn = (db: Database, thread: number): Promise<Asked | undefined> =>
  db.one<Asked>(
    `WITH said AS (
       SELECT e.id, e.title, e.text, e.language, e.wish, e.at, e.account_id,
         e.at > coalesce((SELECT max(o.at) FROM entries o WHERE o.thread_id = $1 AND o.direction = 'out' AND NOT o.withdrawn), '-infinity') AS open
       FROM entries e
       WHERE e.thread_id = $1 AND e.direction = 'in' AND e.deleted_at IS NULL
       ORDER BY e.at DESC
       LIMIT 20
     ), asked AS (
       SELECT * FROM said WHERE open OR at = (SELECT max(at) FROM said)
     ), newest AS (
       SELECT * FROM asked ORDER BY at DESC, id DESC LIMIT 1
     )
     SELECT (SELECT string_agg(concat_ws(' ', title, text), ' ' ORDER BY at) FROM asked) AS text, n.language, n.wish,
       (SELECT coalesce(json_agg(DISTINCT r.aspect_id::text), '[]') FROM asked JOIN aspect_readings r ON r.entry_id = asked.id) AS aspects,
       pl.name AS "placeName", coalesce(${called('p')}, a.name) AS name, v.route AS "visitRoute", v.at AS "visitAt"
     FROM threads t
     LEFT JOIN newest n ON true
     LEFT JOIN accounts a ON a.id = n.account_id
     LEFT JOIN people p ON p.id = a.shown_as
     LEFT JOIN places pl ON pl.id = t.place_id
     LEFT JOIN thread_visits tv ON tv.thread_id = t.id AND tv.belongs
     LEFT JOIN visits v ON v.id = tv.visit_id
     WHERE t.id = $1`,
    [thread],
  )

/** How many entries of a brand have a word that begins so, each counted up to `commonFrom`; and how many entries there are. */
export const wordCommonness = async (
  db: Database,
  { brandId, forms }: { brandId: number; forms: readonly string[] },
): Promise<{ texts: number; having: Map<string, number> }> => {
  const [all, rows] = await Promise.all([
    db.one<{ n: number }>('SELECT coalesce(sum(n), 0)::int AS n FROM rollups WHERE brand_id = $1', [brandId]),
    db.rows<{ form: string; n: number }>(
      `SELECT w.form, (
         SELECT count(*)::int FROM (
           SELECT FROM entries e
           WHERE e.direction = 'in' AND e.brand_id = $1 AND e.search @@ w.query::tsquery
           LIMIT ${commonFrom}
         ) found
       ) AS n
       FROM unnest($2::text[], $3::text[]) AS w(form, query)`,
      [brandId, forms, forms.map((form) => asQuery([form]))],
    ),
  ])
  return {
    texts: Math.max(all!.n, ...rows.map(({ n }) => n)),
    having: new Map(rows.map(({ form, n }) => [form, n])),
  }
}

export type EarlierEntry = AskedOnce & { id: number }

/** Entries that have one of these words and were answered, newest first, of all that a reader may see. */
export const answeredWith = (
  db: Database,
  reader: Reader,
  { forms, thread }: { forms: readonly string[]; thread: number },
): Promise<EarlierEntry[]> => {
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.direction = 'in' AND e.search @@ ${where.bind(asQuery(forms))}::tsquery`)
  where.add(`e.thread_id <> ${where.bind(thread)} AND e.deleted_at IS NULL AND NOT e.erased`)
  where.add(`EXISTS (
    SELECT FROM entries o
    WHERE o.thread_id = e.thread_id AND o.direction = 'out' AND o.at > e.at AND NOT o.withdrawn AND o.deleted_at IS NULL AND o.text <> '')`)
  return db.rows<EarlierEntry>(
    `SELECT f.id, tsvector_to_array(f.search) AS words, f.language, f.wish,
       (SELECT coalesce(json_agg(r.aspect_id::text), '[]') FROM aspect_readings r WHERE r.entry_id = f.id) AS aspects
     FROM (
       SELECT e.id, e.search, e.language, e.wish
       FROM entries e
       WHERE ${where.toString()}
       ORDER BY e.at DESC, e.id DESC
       LIMIT ${lookedAtMost}
     ) f`,
    where.values,
  )
}

/** These entries with the answers they were given. */
export const answersTo = (
  db: Database,
  ids: readonly number[],
): Promise<(Omit<NearThread, 'shared' | 'nearness' | 'times'> & { id: number })[]> =>
  db.rows(
    `SELECT e.id, e.thread_id AS "threadId", e.kind, p.network, coalesce(a.name, '') AS author, concat_ws(' ', e.title, e.text) AS asked,
       e.at AS "askedAt", o.text AS answer, c.name AS by, e.language,
       CASE WHEN n.bad THEN 'complained' WHEN n.good THEN 'praised' WHEN n.bad IS NOT NULL THEN 'wrote' END AS after
     FROM entries e
     JOIN profiles p ON p.id = e.profile_id
     LEFT JOIN accounts a ON a.id = e.account_id
     JOIN LATERAL (
       SELECT o.id, o.text, o.at FROM entries o
       WHERE o.thread_id = e.thread_id AND o.direction = 'out' AND o.at > e.at AND NOT o.withdrawn AND o.deleted_at IS NULL AND o.text <> ''
       ORDER BY o.at, o.id LIMIT 1
     ) o ON true
     LEFT JOIN outside_actions x ON x.entry_id = o.id AND x.kind = 'reply'
     LEFT JOIN colleagues c ON c.id = x.colleague_id
     LEFT JOIN LATERAL (
       SELECT coalesce(n.wish = 'complaint', false) OR n.sentiment = 'negative' AS bad,
         coalesce(n.wish = 'praise', false) OR n.sentiment = 'positive' AS good
       FROM entries n
       WHERE n.thread_id = e.thread_id AND n.direction = 'in' AND n.at > o.at AND n.deleted_at IS NULL
       ORDER BY n.at, n.id LIMIT 1
     ) n ON true
     WHERE e.id = ANY($1::bigint[])`,
    [ids],
  )
