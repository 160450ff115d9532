import { text } from 'node:stream/consumers'
import { openDatabase } from './store/database.ts'
import { migrate } from './store/migrate.ts'
import { createBrand, type BrandSeed } from './services/brand/index.ts'

/** Reads a brand as JSON from the input, or a list of them, and makes each unless there is one of its name. */
const given = JSON.parse(await text(process.stdin)) as BrandSeed | BrandSeed[]
const db = openDatabase(process.env.DATABASE_URL ?? '')
await migrate(db)
for (const seed of Array.isArray(given) ? given : [given])
  console.log(JSON.stringify({ brandId: await createBrand(db, seed) }))
await db.close()
