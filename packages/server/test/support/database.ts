import { randomBytes } from 'node:crypto'
import pg from 'pg'
import { inject } from 'vitest'

declare module 'vitest' {
  interface ProvidedContext {
    /** Address of a database one may make others from. */
    postgres: string
  }
}

export interface TestDatabase {
  url: string
  drop(): Promise<void>
}

const urlOf = (name: string) => inject('postgres').replace(/\/postgres$/, `/${name}`)

async function asAdmin<T>(act: (client: pg.Client) => Promise<T>): Promise<T> {
  const client = new pg.Client({ connectionString: inject('postgres') })
  await client.connect()
  try {
    return await act(client)
  } finally {
    await client.end()
  }
}

/** A fresh, empty database, or a copy of another that nobody is connected to. */
export async function freshDatabase(from = 'template1'): Promise<TestDatabase> {
  const name = `t${randomBytes(6).toString('hex')}`
  await asAdmin((client) => client.query(`CREATE DATABASE ${name} TEMPLATE ${from}`))
  return {
    url: urlOf(name),
    drop: async () => {
      await asAdmin((client) => client.query(`DROP DATABASE ${name} WITH (FORCE)`))
    },
  }
}

/** Removed before each run of the tests: what it was made by may be other than now. */
const pattern = 'pattern'
let filled: Promise<void> | null = null

/** Whoever comes first makes it; who comes meanwhile waits. */
const fillOnce = (fill: (url: string) => Promise<void>) =>
  asAdmin(async (client) => {
    await client.query('SELECT pg_advisory_lock(1)')
    const { rowCount } = await client.query('SELECT 1 FROM pg_database WHERE datname = $1', [pattern])
    if (rowCount) return
    await client.query('CREATE DATABASE filling')
    await fill(urlOf('filling'))
    await client.query(`ALTER DATABASE filling RENAME TO ${pattern}`)
  })

/** A database of a test's own that holds what was filled in once for all tests. */
export async function filledDatabase(fill: (url: string) => Promise<void>): Promise<TestDatabase> {
  await (filled ??= fillOnce(fill))
  return freshDatabase(pattern)
}
