import pg from 'pg'
import { QueryTypes, Sequelize, type Transaction } from 'sequelize'

// Counts and ids stay far below 2^53.
pg.types.setTypeParser(pg.types.builtins.INT8, Number)

export type Tx = Transaction | undefined

/** The one way to PostgreSQL: models through Sequelize, hand-written SQL with bound parameters through `rows`. */
export interface Database {
  sequelize: Sequelize
  url: string
  rows<T extends object>(sql: string, bind?: unknown[], tx?: Tx): Promise<T[]>
  one<T extends object>(sql: string, bind?: unknown[], tx?: Tx): Promise<T | undefined>
  inTransaction<T>(work: (tx: Transaction) => Promise<T>): Promise<T>
  close(): Promise<void>
}

/** Longest wait for a free connection: then the database counts as away. */
const acquireMs = 15_000

/**
 * @param options.statementMs longest time of one statement; 0: any
 */
export function openDatabase(
  url: string,
  { poolSize = 10, statementMs = 0 }: { poolSize?: number; statementMs?: number } = {},
): Database {
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    logging: false,
    pool: { max: poolSize, idle: 10_000, acquire: acquireMs },
    dialectOptions: { keepAlive: true, ...(statementMs ? { statement_timeout: statementMs } : {}) },
    define: { underscored: true, timestamps: false },
  })
  const rows = <T extends object>(sql: string, bind: unknown[] = [], tx?: Tx) =>
    sequelize.query<T>(sql, { bind, type: QueryTypes.SELECT, transaction: tx })
  return {
    sequelize,
    url,
    rows,
    one: async <T extends object>(sql: string, bind: unknown[] = [], tx?: Tx) =>
      (await rows<T>(sql, bind, tx))[0],
    inTransaction: (work) => retried(() => sequelize.transaction(work)),
    close: () => sequelize.close(),
  }
}

/** PostgreSQL ended one of two transactions that waited for each other; done again, it goes through. */
const deadlock = '40P01'
const tries = 4

async function retried<T>(transaction: () => Promise<T>): Promise<T> {
  for (let n = 1; ; n++)
    try {
      return await transaction()
    } catch (error) {
      const { code } = (error as { original?: { code?: string } }).original ?? {}
      if (code !== deadlock || n === tries) throw error
    }
}
