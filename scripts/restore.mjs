// node scripts/restore.mjs <file>: brings a backup into the empty database of DATABASE_URL, and its attachments and pictures
// into MURRABEL_FILES.
import { spawnSync } from 'node:child_process'
import { cpSync, existsSync } from 'node:fs'
import { join } from 'node:path'
import { pgEnv } from './lib/pgEnv.mjs'
import { ensurePostgres, fail } from './lib/setup.mjs'

const [file] = process.argv.slice(2)
const url = process.env.DATABASE_URL
if (!url || !file)
  fail('Say which file and which database: DATABASE_URL=postgres://... node scripts/restore.mjs <file>')
if (!existsSync(file)) fail(`There is no ${file}.`)
const bin = ensurePostgres()
const env = pgEnv(url)
const count = `SELECT count(*) FROM information_schema.tables WHERE table_schema = 'public'`
const tables = spawnSync(join(bin, 'psql'), ['-AtX', '-c', count], { env, encoding: 'utf8' })
if (tables.status !== 0) fail(`The database cannot be reached:\n${tables.stderr}`)
if (tables.stdout.trim() !== '0')
  fail('The database is not empty. Nothing was changed; bring a backup into a new, empty one.')
const restored = spawnSync(
  join(bin, 'pg_restore'),
  [
    '--no-owner',
    '--no-privileges',
    '--single-transaction',
    '--exit-on-error',
    '--dbname',
    env.PGDATABASE,
    file,
  ],
  { env, stdio: ['ignore', 'inherit', 'inherit'] },
)
if (restored.status !== 0) fail('The backup could not be brought back; the database is empty as before.')
if (existsSync(`${file}.files`))
  cpSync(`${file}.files`, process.env.MURRABEL_FILES || 'data/files', { recursive: true })
spawnSync(join(bin, 'psql'), ['-qX', '-c', 'ANALYZE'], { env, stdio: 'inherit' })
console.log('Everything is back. Start the server with the same MURRABEL_KEY.')
