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

/** A fresh, empty database. */
export async function freshDatabase(): Promise<TestDatabase> {
  const admin = inject('postgres')
  const name = `t${randomBytes(6).toString('hex')}`
  const run = async (sql: string) => {
    const client = new pg.Client({ connectionString: admin })
    await client.connect()
    await client.query(sql)
    await client.end()
  }
  await run(`CREATE DATABASE ${name}`)
  return {
    url: admin.replace(/\/postgres$/, `/${name}`),
    drop: () => run(`DROP DATABASE ${name} WITH (FORCE)`),
  }
}
