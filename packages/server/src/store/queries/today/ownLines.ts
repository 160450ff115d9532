import type { OwnLine } from '@murrabel/contract'
import type { Reader } from '../../../access/reader.ts'
import type { Database, Tx } from '../../database.ts'

type Whose = Pick<Reader, 'brandId' | 'colleagueId'>
const columns = 'id, text, done_at AS "doneAt"'

/** What is to be done, oldest first, then what was done since an instant. */
export const ownLinesOf = (
  db: Database,
  { brandId, colleagueId }: Whose,
  doneSince: Date,
  tx?: Tx,
): Promise<OwnLine[]> =>
  db.rows(
    `SELECT ${columns} FROM own_lines
     WHERE colleague_id = $2 AND brand_id = $1 AND (done_at IS NULL OR done_at >= $3)
     ORDER BY done_at IS NOT NULL, id`,
    [brandId, colleagueId, doneSince],
    tx,
  )

/** Null when they have that many already. */
export const insertOwnLine = (
  db: Database,
  { brandId, colleagueId }: Whose,
  { text, most }: { text: string; most: number },
): Promise<OwnLine | undefined> =>
  db.one(
    `INSERT INTO own_lines (brand_id, colleague_id, text)
     SELECT $1, $2, $3
     WHERE (SELECT count(*) FROM own_lines WHERE colleague_id = $2 AND brand_id = $1 AND done_at IS NULL) < $4
     RETURNING ${columns}`,
    [brandId, colleagueId, text, most],
  )

export const updateOwnLine = (
  db: Database,
  { brandId, colleagueId }: Whose,
  { id, text, done, now }: { id: number; text: string | null; done: boolean | null; now: Date },
): Promise<OwnLine | undefined> =>
  db.one(
    `UPDATE own_lines SET text = coalesce($4, text),
       done_at = CASE WHEN $5::boolean IS NULL THEN done_at WHEN $5 THEN coalesce(done_at, $6) END
     WHERE id = $3 AND colleague_id = $2 AND brand_id = $1
     RETURNING ${columns}`,
    [brandId, colleagueId, id, text, done, now],
  )

export const deleteOwnLine = (
  db: Database,
  { brandId, colleagueId }: Whose,
  id: number,
): Promise<{ id: number } | undefined> =>
  db.one('DELETE FROM own_lines WHERE id = $3 AND colleague_id = $2 AND brand_id = $1 RETURNING id', [
    brandId,
    colleagueId,
    id,
  ])
