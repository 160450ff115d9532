// What a fresh machine lacks: packages of the registry, PostgreSQL, Chromium, the built web application.
import { execFileSync, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = join(dirname(fileURLToPath(import.meta.url)), '../..')
const stamps = join(root, 'node_modules/.cache/stamps')

export function fail(message) {
  console.error(`\n${message}`)
  process.exit(1)
}

function stamped(name, value, act) {
  const file = join(stamps, name)
  if (existsSync(file) && readFileSync(file, 'utf8') === value) return
  act()
  mkdirSync(stamps, { recursive: true })
  writeFileSync(file, value)
}

const hashOf = (text) => createHash('sha256').update(text).digest('hex')

export function ensureNode() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major !== 20 || minor < 19)
    fail(`Node.js 20.19 or a later 20 is needed; this is ${process.versions.node}.`)
}

export function ensurePackages() {
  const lock = hashOf(readFileSync(join(root, 'package-lock.json')))
  const file = join(stamps, 'packages')
  if (existsSync(file) && readFileSync(file, 'utf8') === lock) return
  if (existsSync(join(root, 'node_modules/.package-lock.json')) && !existsSync(file)) {
    // Installed by hand: taken as it is when it is the lock's.
    const same = spawnSync('npm', ['ls', '--silent'], { cwd: root, stdio: 'ignore' }).status === 0
    if (same) return void stamped('packages', lock, () => {})
  }
  console.log('Installing packages ...')
  const result = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], {
    cwd: root,
    stdio: 'inherit',
  })
  if (result.status !== 0)
    fail('The packages could not be installed. Check the network and start again; nothing else was changed.')
  stamped('packages', lock, () => {})
}

function aptInstall(name) {
  if (process.getuid?.() !== 0)
    fail(`${name} is not installed. Install it with: sudo apt-get install ${name}`)
  console.log(`Installing ${name} ...`)
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  const run = (args) =>
    spawnSync('apt-get', args, { env, stdio: ['ignore', 'ignore', 'inherit'] }).status === 0
  run(['update', '-qq'])
  if (!run(['install', '-y', '-qq', '--no-install-recommends', name]))
    fail(`${name} could not be installed. Install it by hand and start again.`)
}

/** The folder of PostgreSQL's programs. */
export function ensurePostgres() {
  const find = () => {
    const base = '/usr/lib/postgresql'
    const versions = existsSync(base) ? readdirSync(base).sort((a, b) => Number(b) - Number(a)) : []
    return versions.map((v) => join(base, v, 'bin')).find((bin) => existsSync(join(bin, 'initdb')))
  }
  if (!find()) aptInstall('postgresql')
  return (
    find() ??
    fail('PostgreSQL was installed but its programs are not where Debian puts them (/usr/lib/postgresql).')
  )
}

/** Without the windows of an ordinary browser, which nobody sees here: stories take a quarter less time. */
export const chromiumProgram = '/usr/bin/chromium-headless-shell'

export function ensureChromium() {
  if (!existsSync(chromiumProgram)) aptInstall('chromium-headless-shell')
}

function newest(folder) {
  let latest = 0
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    // What the build itself writes, and what it does not read.
    if (['node_modules', 'dist', 'test'].includes(entry.name) || entry.name.endsWith('.d.ts')) continue
    const path = join(folder, entry.name)
    latest = Math.max(latest, entry.isDirectory() ? newest(path) : statSync(path).mtimeMs)
  }
  return latest
}

export const webFolder = join(root, 'packages/web/dist')

/** Builds the web application when a source of it is newer than the last build. */
export function ensureWeb() {
  const sources = ['web', 'core', 'contract', 'chatbox']
    .map((name) => String(newest(join(root, 'packages', name))))
    .join(' ')
  const made = ['index.html', '../drawn/dist/draw.js']
  if (!made.every((file) => existsSync(join(webFolder, file)))) rmSync(join(stamps, 'web'), { force: true })
  stamped('web', sources, () => {
    console.log('Building the web application ...')
    // The chat box lies beside the application, and so comes after it.
    for (const name of ['web', 'chatbox'])
      execFileSync('npm', ['run', '--silent', 'build', '--workspace', `@murrabel/${name}`], {
        cwd: root,
        stdio: ['ignore', 'ignore', 'inherit'],
      })
  })
}
