import type { Database, Tx } from '../../database.ts'

export const notify = (
  db: Database,
  { channel, payload }: { channel: string; payload: object },
  tx?: Tx,
): Promise<object[]> => db.rows<object>('SELECT pg_notify($1, $2)', [channel, JSON.stringify(payload)], tx)
