import { Umzug, type UmzugStorage } from 'umzug'
import { alone } from './alone.ts'
import type { Database } from './database.ts'
import { migrations as ours } from './migrations/index.ts'

interface Migration {
  name: string
  up: string
  down: string
}

/** The database has been made by a later Murrabel: what it holds is not known here. */
export class NewerDatabaseError extends Error {
  override readonly name = 'NewerDatabaseError'
  constructor(unknown: readonly string[]) {
    super(
      `The database was made by a newer Murrabel (${unknown.join(', ')}). Nothing was changed. Start that version, or bring the database back with it first.`,
    )
  }
}

/**
 * Brings the database to the newest shape, or back by `down` steps; safe to call from several processes at once. Each
 * migration is a transaction of its own, so that one that fails leaves those before it done.
 *
 * @throws NewerDatabaseError when the database knows migrations that are not here
 */
export async function migrate(
  database: Database,
  { down = 0, migrations = ours }: { down?: number; migrations?: readonly Migration[] } = {},
): Promise<void> {
  await alone(database, 'migrating', async () => {
    await database.rows(
      'CREATE TABLE IF NOT EXISTS migrations (name text PRIMARY KEY, run_at timestamptz NOT NULL DEFAULT now())',
    )
    const known = new Set(migrations.map(({ name }) => name))
    const done = await executed(database)
    const unknown = done.filter((name) => !known.has(name))
    if (unknown.length) throw new NewerDatabaseError(unknown)
    const umzug = new Umzug({
      migrations: migrations.map(({ name, up, down: back }) => ({
        name,
        up: () => run(database, up, `INSERT INTO migrations (name) VALUES ($1) ON CONFLICT DO NOTHING`, name),
        down: () => run(database, back, 'DELETE FROM migrations WHERE name = $1', name),
      })),
      storage: storageOf(database),
      logger: undefined,
    })
    if (down > 0) await umzug.down({ step: down })
    else await umzug.up()
  })
}

const executed = async (database: Database) =>
  (await database.rows<{ name: string }>('SELECT name FROM migrations ORDER BY name')).map((r) => r.name)

/** The change and the note of it, together or not at all. */
const run = (database: Database, sql: string, note: string, name: string): Promise<void> =>
  database.sequelize.transaction(async (tx) => {
    await database.sequelize.query(sql, { transaction: tx })
    await database.rows(note, [name], tx)
  })

/** What was done is noted by `run`, in the same transaction. */
const storageOf = (database: Database): UmzugStorage => ({
  executed: () => executed(database),
  logMigration: async () => {},
  unlogMigration: async () => {},
})
