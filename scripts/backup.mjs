// node scripts/backup.mjs <file>: everything in the database of DATABASE_URL, in one file, while it is in use; attachments
// and pictures of MURRABEL_FILES in the folder <file>.files beside it.
import { spawnSync } from 'node:child_process'
import { cpSync, existsSync } from 'node:fs'
import { join } from 'node:path'
import { pgEnv } from './lib/pgEnv.mjs'
import { ensurePostgres, fail } from './lib/setup.mjs'

const [file] = process.argv.slice(2)
const url = process.env.DATABASE_URL
if (!url || !file)
  fail('Say which database and which file: DATABASE_URL=postgres://... node scripts/backup.mjs <file>')
if (existsSync(file)) fail(`${file} is there already. Nothing was written; give another name.`)
const dump = spawnSync(
  join(ensurePostgres(), 'pg_dump'),
  ['--format=custom', '--no-owner', '--no-privileges', `--file=${file}`],
  { env: pgEnv(url), stdio: ['ignore', 'inherit', 'inherit'] },
)
if (dump.status !== 0) fail('The backup failed; what was written is no backup.')
// After the database: a file lies in its folder before anything names it, and stays for days after.
const files = process.env.MURRABEL_FILES || 'data/files'
if (existsSync(files)) cpSync(files, `${file}.files`, { recursive: true })
console.log(
  `Wrote ${file}${existsSync(files) ? ` and ${file}.files` : ''}. Keep MURRABEL_KEY with it, apart from it: without the key the profiles must be connected anew.`,
)
