import type { PatternAnswer } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'
import { accessOf } from '../shared/where.ts'

/** Days back over which it is told what followed. */
const followedDays = 180

/** Patterns with their texts, and what followed the answers that a reader may see, by folder and name. */
export const patternsOf = (
  db: Database,
  reader: Reader,
  { ids, now }: { ids?: readonly number[]; now: Date },
  tx?: Tx,
): Promise<PatternAnswer[]> => {
  const values: unknown[] = [reader.brandId, ids ?? null, now]
  const bind = (value: unknown) => `$${values.push(value)}`
  return db.rows<PatternAnswer>(
    `SELECT p.id, p.edition, p.name, p.folder, c.name AS by, p.changed_at AS "changedAt",
       (SELECT coalesce(json_agg(json_build_object('language', language, 'text', text) ORDER BY language), '[]')
        FROM pattern_texts WHERE pattern_id = p.id) AS texts,
       json_build_object('sent', coalesce(u.sent, 0), 'wroteAgain', coalesce(u.again, 0), 'praised', coalesce(u.praised, 0),
         'complained', coalesce(u.complained, 0), 'lastUsedAt', u.last) AS use
     FROM patterns p
     LEFT JOIN colleagues c ON c.id = p.made_by
     LEFT JOIN (
       SELECT a.pattern_id, count(*)::int AS sent, count(n.bad)::int AS again, count(*) FILTER (WHERE n.bad)::int AS complained,
         count(*) FILTER (WHERE n.good AND NOT n.bad)::int AS praised, max(a.sent_at) AS last
       FROM outside_actions a
       JOIN entries o ON o.id = a.entry_id
       LEFT JOIN LATERAL (
         SELECT coalesce(e.wish = 'complaint', false) OR e.sentiment = 'negative' AS bad,
           coalesce(e.wish = 'praise', false) OR e.sentiment = 'positive' AS good
         FROM entries e
         WHERE e.thread_id = a.thread_id AND e.direction = 'in' AND e.at > o.at AND e.deleted_at IS NULL
         ORDER BY e.at, e.id
         LIMIT 1
       ) n ON true
       WHERE a.pattern_id IS NOT NULL AND a.brand_id = $1 AND a.state = 'sent'
         AND a.sent_at > $3::timestamptz - interval '${followedDays} days' AND ${accessOf(bind, reader, 'o')}
       GROUP BY a.pattern_id
     ) u ON u.pattern_id = p.id
     WHERE p.brand_id = $1 AND ($2::int[] IS NULL OR p.id = ANY($2))
     ORDER BY lower(p.folder), p.name_key`,
    values,
    tx,
  )
}

/** Names and texts of all patterns, held so that none of them changes until the transaction ends. */
export const patternTexts = (
  db: Database,
  brandId: number,
  tx: Tx,
): Promise<{ id: number; name: string; texts: { language: string; text: string }[] }[]> =>
  db.rows(
    `SELECT p.id, p.name,
       (SELECT coalesce(json_agg(json_build_object('language', language, 'text', text)), '[]')
        FROM pattern_texts WHERE pattern_id = p.id) AS texts
     FROM patterns p
     WHERE p.brand_id = $1
     ORDER BY p.id`,
    [brandId],
    tx,
  )

interface PatternRow {
  brandId: number
  name: string
  nameKey: string
  folder: string
  madeBy: number
}

export const insertPattern = (
  db: Database,
  { brandId, name, nameKey, folder, madeBy }: PatternRow,
  tx: Tx,
): Promise<{ id: number } | undefined> =>
  db.one<{ id: number }>(
    `INSERT INTO patterns (brand_id, name, name_key, folder, made_by)
     VALUES ($1, $2, $3, $4, $5)
     ON CONFLICT DO NOTHING
     RETURNING id`,
    [brandId, name, nameKey, folder, madeBy],
    tx,
  )

export const updatePattern = async (
  db: Database,
  id: number,
  { name, nameKey, folder, madeBy }: Omit<PatternRow, 'brandId'>,
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `UPDATE patterns SET name = $2, name_key = $3, folder = $4, made_by = $5, changed_at = now(), edition = edition + 1
     WHERE id = $1`,
    [id, name, nameKey, folder, madeBy],
    tx,
  )
}

export const setPatternTexts = async (
  db: Database,
  id: number,
  texts: readonly { language: string; text: string }[],
  tx: Tx,
): Promise<void> => {
  await db.rows('DELETE FROM pattern_texts WHERE pattern_id = $1', [id], tx)
  await db.rows(
    `INSERT INTO pattern_texts (pattern_id, language, text)
     SELECT $1, language, text FROM unnest($2::text[], $3::text[]) AS t(language, text)`,
    [id, texts.map(({ language }) => language), texts.map(({ text }) => text)],
    tx,
  )
}

export const setPatternText = async (
  db: Database,
  { id, language, text }: { id: number; language: string; text: string },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    'UPDATE pattern_texts SET text = $3 WHERE pattern_id = $1 AND language = $2',
    [id, language, text],
    tx,
  )
}

/** The pattern's id if it is the brand's; one that was removed meanwhile is null. */
export const ownPattern = async (
  db: Database,
  { brandId, id }: { brandId: number; id: number | null },
  tx: Tx,
): Promise<number | null> =>
  id === null
    ? null
    : ((
        await db.one<{ id: number }>(
          'SELECT id FROM patterns WHERE id = $1 AND brand_id = $2',
          [id, brandId],
          tx,
        )
      )?.id ?? null)

export const deletePattern = async (db: Database, id: number, tx: Tx): Promise<void> => {
  await db.rows('DELETE FROM patterns WHERE id = $1', [id], tx)
}
