import { readConfig } from './config.ts'
import { start } from './start.ts'
import { knowTexts } from './services/watches/index.ts'

const server = await start(readConfig(process.env))
if (server.address) console.log(`murrabel at ${server.context.config.publicAddress}`)
if (server.address)
  void knowTexts(server.context).catch((error: unknown) =>
    server.context.log.warn({ err: error }, 'texts were not read ahead'),
  )

let stopping = false
const stop = () => {
  if (stopping) return
  stopping = true
  void server.stop().then(() => process.exit(0))
}
process.on('SIGTERM', stop)
process.on('SIGINT', stop)
// Started by a script: when that is killed, the pipe closes, and this process ends with it.
if (process.env.MURRABEL_PARENT) {
  process.stdin.resume()
  process.stdin.on('close', stop)
}
