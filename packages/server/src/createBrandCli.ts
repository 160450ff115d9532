import { text } from 'node:stream/consumers'
import { openDatabase } from './store/database.ts'
import { migrate } from './store/migrate.ts'
import { createBrand, type BrandSeed } from './services/brand/index.ts'

/** Reads a brand as JSON from the input and makes it, unless there is one of its name. */
const seed = JSON.parse(await text(process.stdin)) as BrandSeed
const db = openDatabase(process.env.DATABASE_URL ?? '')
await migrate(db)
console.log(JSON.stringify({ brandId: await createBrand(db, seed) }))
await db.close()
