// npm start: one production process, settings from the environment alone (see "Settings" in the README).
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { ensureNode, ensurePackages, ensureWeb, root, webFolder } from './lib/setup.mjs'

ensureNode()
ensurePackages()
ensureWeb()
const loader = join(root, 'node_modules/tsx/dist/loader.mjs')
const child = spawn(process.execPath, ['--import', loader, join(root, 'packages/server/src/main.ts')], {
  cwd: root,
  env: { MURRABEL_WEB: webFolder, ...process.env },
  stdio: 'inherit',
})
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => child.kill(signal))
child.once('exit', (code) => process.exit(code ?? 1))
