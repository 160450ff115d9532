import type { Database } from './database.ts'

/** What only one process does at a time: any numbers, one each. */
export const locks = { migrating: 7214001, settingUpSchedule: 7214002 } as const

/**
 * Does what processes that start together must not do together; the others wait.
 *
 * The transaction only holds the lock: it ends with the connection, whatever becomes of the process. What `work` does
 * goes through other connections.
 */
export const alone = <T>(database: Database, lock: keyof typeof locks, work: () => Promise<T>): Promise<T> =>
  database.sequelize.transaction(async (tx) => {
    await database.rows('SELECT pg_advisory_xact_lock($1)', [locks[lock]], tx)
    return work()
  })
