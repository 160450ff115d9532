// npm test: everything a fresh machine needs, then types, lint, import directions, unit and browser tests.
// Ends with one line: "N passed, N failed". Names on the command line run some of the steps: npm test -- types unit
import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { ensureChromium, ensureNode, ensurePackages, ensurePostgres, ensureWeb, root } from './lib/setup.mjs'

ensureNode()
ensurePackages()
ensurePostgres()
ensureChromium()
const results = join(root, 'test-results')
mkdirSync(results, { recursive: true })

const bin = (name) => join(root, 'node_modules/.bin', name)
const run = (command, args, env = {}) =>
  spawnSync(command, args, {
    cwd: root,
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  }).status === 0

/** A step that passes or fails as a whole. */
const whole = (command, args) => () => ({ passed: 0, failed: 0, ok: run(command, args) })

function report(file) {
  return existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null
}

function unit() {
  const file = join(results, 'unit.json')
  rmSync(file, { force: true })
  const ok = run(bin('vitest'), ['run', '--reporter=dot', '--reporter=json', `--outputFile.json=${file}`])
  const found = report(file)
  return { ok, passed: found?.numPassedTests ?? 0, failed: found?.numFailedTests ?? 1 }
}

function browser() {
  ensureWeb()
  const file = join(results, 'e2e.json')
  rmSync(file, { force: true })
  const ok = run(bin('playwright'), ['test'])
  const stats = report(file)?.stats
  return { ok, passed: stats?.expected ?? 0, failed: stats ? stats.unexpected + stats.flaky : 1 }
}

const steps = {
  types: whole(bin('vue-tsc'), ['--build']),
  lint: () => ({
    passed: 0,
    failed: 0,
    ok:
      run(bin('eslint'), ['.', '--max-warnings', '0']) &&
      run(bin('prettier'), ['--check', '--log-level', 'warn', '.']),
  }),
  imports: whole(bin('depcruise'), ['--config', '.dependency-cruiser.cjs', 'packages', 'e2e', 'bench']),
  unit,
  browser,
}

const wanted = process.argv.slice(2)
let passed = 0
let failed = 0
for (const [name, step] of Object.entries(steps)) {
  if (wanted.length && !wanted.includes(name)) continue
  console.log(`\n== ${name}`)
  const began = Date.now()
  const result = step()
  // A step of one piece counts as one test; so does a runner that failed without a failed test.
  passed += result.passed + (result.ok && !result.passed ? 1 : 0)
  failed += result.failed + (!result.ok && !result.failed ? 1 : 0)
  console.log(`== ${name} ${result.ok ? 'passed' : 'FAILED'} in ${Math.round((Date.now() - began) / 1000)} s`)
}
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
