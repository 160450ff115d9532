import { Umzug, type UmzugStorage } from 'umzug'
import type { Database } from './database.ts'
import { migrations } from './migrations/index.ts'

/** Any number: the lock under which only one process migrates. */
const lockKey = 7214001

/** Brings the database to the newest shape, or back by `down` steps; safe to call from several processes at once. */
export async function migrate(database: Database, { down = 0 }: { down?: number } = {}): Promise<void> {
  await database.inTransaction(async (tx) => {
    const { sequelize } = database
    await sequelize.query('SELECT pg_advisory_xact_lock($1)', { bind: [lockKey], transaction: tx })
    await sequelize.query(
      'CREATE TABLE IF NOT EXISTS migrations (name text PRIMARY KEY, run_at timestamptz NOT NULL DEFAULT now())',
      { transaction: tx },
    )
    const storage: UmzugStorage = {
      executed: async () =>
        (await database.rows<{ name: string }>('SELECT name FROM migrations ORDER BY name', [], tx)).map(
          (r) => r.name,
        ),
      logMigration: async ({ name }) =>
        void (await sequelize.query('INSERT INTO migrations (name) VALUES ($1)', {
          bind: [name],
          transaction: tx,
        })),
      unlogMigration: async ({ name }) =>
        void (await sequelize.query('DELETE FROM migrations WHERE name = $1', {
          bind: [name],
          transaction: tx,
        })),
    }
    const umzug = new Umzug({
      migrations: migrations.map(({ name, up, down: back }) => ({
        name,
        up: async () => void (await sequelize.query(up, { transaction: tx })),
        down: async () => void (await sequelize.query(back, { transaction: tx })),
      })),
      storage,
      logger: undefined,
    })
    if (down > 0) await umzug.down({ step: down })
    else await umzug.up()
  })
}
