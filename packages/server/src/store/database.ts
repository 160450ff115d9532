import pg from 'pg'
import { QueryTypes, Sequelize, type Options, type Transaction } from 'sequelize'

// Counts and ids stay far below 2^53.
pg.types.setTypeParser(pg.types.builtins.INT8, Number)

export type Tx = Transaction | undefined

export interface Reads {
  rows<T extends object>(sql: string, bind?: unknown[]): Promise<T[]>
  one<T extends object>(sql: string, bind?: unknown[]): Promise<T | undefined>
}

/** The one way to PostgreSQL: models through Sequelize, hand-written SQL with bound parameters through `rows`. */
export interface Database {
  sequelize: Sequelize
  url: string
  rows<T extends object>(sql: string, bind?: unknown[], tx?: Tx): Promise<T[]>
  one<T extends object>(sql: string, bind?: unknown[], tx?: Tx): Promise<T | undefined>
  /** For figures that may be some moments old: from the read replica where there is one and it answers. */
  replica: Reads
  inTransaction<T>(work: (tx: Transaction) => Promise<T>): Promise<T>
  close(): Promise<void>
}

/** Longest wait for a free connection: then the database counts as away. */
const acquireMs = 15_000

/**
 * @param options.statementMs longest time of one statement; 0: any
 * @param options.replicaUrl a streaming replica of the same database; null: everything is asked of the one
 */
export function openDatabase(
  url: string,
  {
    poolSize = 10,
    statementMs = 0,
    replicaUrl = null,
  }: { poolSize?: number; statementMs?: number; replicaUrl?: string | null } = {},
): Database {
  const options: Options = {
    dialect: 'postgres',
    logging: false,
    pool: { max: poolSize, idle: 10_000, acquire: acquireMs },
    dialectOptions: { keepAlive: true, ...(statementMs ? { statement_timeout: statementMs } : {}) },
    define: { underscored: true, timestamps: false },
  }
  const sequelize = replicaUrl
    ? new Sequelize({
        ...options,
        replication: { write: connectionOf(url), read: [connectionOf(replicaUrl)] },
        // What is read must be what was just written, unless a question says that it may be older.
        query: { useMaster: true },
      } as Options)
    : new Sequelize(url, options)
  const rows = <T extends object>(sql: string, bind: unknown[] = [], tx?: Tx) =>
    sequelize.query<T>(sql, { bind, type: QueryTypes.SELECT, transaction: tx })
  const replicaRows = async <T extends object>(sql: string, bind: unknown[] = []): Promise<T[]> => {
    if (!replicaUrl) return rows<T>(sql, bind)
    try {
      return await sequelize.query<T>(sql, { bind, type: QueryTypes.SELECT, useMaster: false })
    } catch (error) {
      // A replica that is away, or too far behind, leaves its work to the primary.
      if (!isOfReplica(error)) throw error
      return rows<T>(sql, bind)
    }
  }
  return {
    sequelize,
    url,
    rows,
    one: async <T extends object>(sql: string, bind: unknown[] = [], tx?: Tx) =>
      (await rows<T>(sql, bind, tx))[0],
    replica: {
      rows: replicaRows,
      one: async <T extends object>(sql: string, bind: unknown[] = []) =>
        (await replicaRows<T>(sql, bind))[0],
    },
    inTransaction: (work) => retried(() => sequelize.transaction(work)),
    close: () => sequelize.close(),
  }
}

/** The parts of an address, as Sequelize takes them for several databases. */
function connectionOf(url: string) {
  const { hostname, port, username, password, pathname } = new URL(url)
  return {
    host: hostname,
    port: port || '5432',
    username: decodeURIComponent(username),
    password: decodeURIComponent(password),
    database: decodeURIComponent(pathname.slice(1)),
  }
}

/** The replica is away, starts or stops, or had to give up the question for what came from the primary. */
function isOfReplica(error: unknown): boolean {
  const { name = '', original } = error as { name?: string; original?: { code?: string } }
  return /^SequelizeConnection/.test(name) || /^(?:57P|08|40001|25006)/.test(original?.code ?? '')
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
