// Processes that end with the one that started them.
import { spawn } from 'node:child_process'
import { createWriteStream, mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './setup.mjs'

const tsx = join(root, 'node_modules/tsx/dist/cli.mjs')

/**
 * Starts a TypeScript program. Its input is a pipe from here, which closes when this process dies in whatever way; the
 * program stops then. What it prints goes into a file.
 */
export function startProgram(name, file, { env = {}, logFolder, args = [] } = {}) {
  mkdirSync(logFolder, { recursive: true })
  const log = createWriteStream(join(logFolder, `${name}.log`), { flags: 'a' })
  const child = spawn(
    process.execPath,
    ['--import', join(root, 'node_modules/tsx/dist/loader.mjs'), join(root, file), ...args],
    {
      cwd: root,
      env: { ...process.env, ...env, MURRABEL_PARENT: '1' },
      stdio: ['pipe', 'pipe', 'pipe'],
      // Ctrl-C reaches this process alone, which stops the others in order.
      detached: true,
    },
  )
  child.stdout.pipe(log)
  child.stderr.pipe(log)
  return {
    name,
    child,
    exited: new Promise((resolve) => child.once('exit', resolve)),
    async stop() {
      if (child.exitCode !== null || child.signalCode !== null) return
      child.kill('SIGTERM')
      const late = setTimeout(() => child.kill('SIGKILL'), 10_000)
      await new Promise((resolve) => child.once('exit', resolve))
      clearTimeout(late)
    },
  }
}

/** Runs a TypeScript program to its end, with text for its input; gives what it printed. */
export function runProgram(file, { env = {}, input = '', args = [], show = false } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [tsx, join(root, file), ...args], {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: ['pipe', 'pipe', 'inherit'],
    })
    let out = ''
    child.stdout.on('data', (chunk) => {
      out += chunk
      if (show) process.stdout.write(chunk)
    })
    child.once('exit', (code) =>
      code === 0 ? resolve(out) : reject(new Error(`${file} ended with ${code}`)),
    )
    child.stdin.end(input)
  })
}

export async function waitFor(url, { seconds = 60, program } = {}) {
  let ended = false
  void program?.exited.then(() => (ended = true))
  for (let i = 0; i < seconds * 10; i++) {
    try {
      const answer = await fetch(url, { signal: AbortSignal.timeout(2000) })
      if (answer.ok) return
    } catch {
      // Not there yet.
    }
    if (ended) throw new Error(`${program.name} ended before it answered`)
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error(`${url} does not answer`)
}
