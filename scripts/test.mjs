// npm test: everything a fresh machine needs, then types beside lint and import directions, then unit tests, then browser tests.
// Ends with one line: "N passed, N failed". Names on the command line run some of the steps: npm test -- types unit
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import {
  ensureChromium,
  ensureNode,
  ensurePackages,
  ensurePostgres,
  ensureWeb,
  fail,
  root,
} from './lib/setup.mjs'

ensureNode()
ensurePackages()
ensurePostgres()
ensureChromium()
const results = join(root, 'test-results')
mkdirSync(results, { recursive: true })

const bin = (name) => join(root, 'node_modules/.bin', name)
/** Runs a command; what it prints is shown as it comes, or is handed to whoever shows it. */
const run = (command, args, say = (text) => process.stdout.write(text)) =>
  new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] })
    child.stdout.on('data', say)
    child.stderr.on('data', say)
    child.once('error', (error) => {
      say(`${error.message}\n`)
      resolve(false)
    })
    child.once('close', (code) => resolve(code === 0))
  })

/** A step that passes or fails as a whole: commands one after the other, up to the first that fails. */
const whole =
  (...commands) =>
  async (say) => {
    for (const [command, ...args] of commands)
      if (!(await run(bin(command), args, say))) return { passed: 0, failed: 0, ok: false }
    return { passed: 0, failed: 0, ok: true }
  }

function report(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null
}

async function unit(say) {
  const file = join(results, 'unit.json')
  rmSync(file, { force: true })
  const ok = await run(
    bin('vitest'),
    ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${file}`],
    say,
  )
  const found = report(file)
  return { ok, passed: found?.numPassedTests ?? 0, failed: found?.numFailedTests ?? 1 }
}

async function browser(say) {
  ensureWeb()
  const file = join(results, 'e2e.json')
  rmSync(file, { force: true })
  const ok = await run(bin('playwright'), ['test'], say)
  const stats = report(file)?.stats
  return { ok, passed: stats?.expected ?? 0, failed: stats ? stats.unexpected + stats.flaky : 1 }
}

/** Steps of one row run beside each other: each of these keeps one core busy. */
const rows = [
  {
    types: whole(['vue-tsc', '--build']),
    lint: whole(
      ['eslint', '.', '--max-warnings', '0'],
      ['prettier', '--check', '--log-level', 'warn', '.'],
      ['depcruise', '--config', '.dependency-cruiser.cjs', 'packages', 'e2e', 'bench'],
    ),
  },
  { unit },
  { browser },
]

const wanted = process.argv.slice(2)
const known = rows.flatMap((row) => Object.keys(row))
const unknown = wanted.filter((name) => !known.includes(name))
if (unknown.length) fail(`There is no step ${unknown.join(', ')}; there are ${known.join(', ')}.`)
let passed = 0
let failed = 0
for (const row of rows) {
  const steps = Object.entries(row).filter(([name]) => !wanted.length || wanted.includes(name))
  await Promise.all(
    steps.map(async ([name, step]) => {
      // Alone, a step is watched; beside another, it is told when it has ended.
      const alone = steps.length === 1
      let said = ''
      if (alone) console.log(`\n== ${name}`)
      const began = Date.now()
      const result = await step(alone ? undefined : (text) => (said += text))
      // A step of one piece counts as one test; so does a runner that failed without a failed test.
      passed += result.passed + (result.ok && !result.passed ? 1 : 0)
      failed += result.failed + (!result.ok && !result.failed ? 1 : 0)
      if (!alone) console.log(`\n== ${name}\n${said.trimEnd()}`)
      console.log(
        `== ${name} ${result.ok ? 'passed' : 'FAILED'} in ${Math.round((Date.now() - began) / 1000)} s`,
      )
    }),
  )
}
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
