import type { Database, Tx } from '../../database.ts'

/** The thread is answered by this profile from now on; its subject is the thread's title, or the profile it began on. */
export const putHandoff = async (
  db: Database,
  given: { threadId: number; profileId: number; address: string; name: string },
  tx: Tx,
): Promise<void> => {
  await db.rows(
    `INSERT INTO handoffs (thread_id, profile_id, address, name, subject, present_until)
     SELECT t.id, $2, $3, $4, left(coalesce(t.title, p.name), 120), '-infinity'
     FROM threads t
     JOIN profiles p ON p.id = t.profile_id
     WHERE t.id = $1
     ON CONFLICT (thread_id) DO UPDATE SET profile_id = excluded.profile_id, address = excluded.address, name = excluded.name`,
    [given.threadId, given.profileId, given.address, given.name],
    tx,
  )
}

export const dropHandoff = async (db: Database, threadId: number, tx: Tx): Promise<void> => {
  await db.rows('DELETE FROM handoffs WHERE thread_id = $1', [threadId], tx)
}
