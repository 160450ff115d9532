import type { Reader } from '../../access/reader.ts'
import type { Database, Tx } from '../../store/database.ts'

/** Every action leaves a line: who, what, on which thing. */
export async function audit(
  db: Database,
  reader: Pick<Reader, 'brandId' | 'colleagueId'>,
  action: string,
  subject: string,
  detail: object = {},
  tx?: Tx,
): Promise<void> {
  await db.rows(
    'INSERT INTO audit (brand_id, colleague_id, action, subject, detail) VALUES ($1, $2, $3, $4, $5)',
    [reader.brandId, reader.colleagueId, action, subject, JSON.stringify(detail)],
    tx,
  )
}
