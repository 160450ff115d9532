import { join } from 'node:path'
import {
  openNets,
  startLanternpage,
  startMailroom,
  startOpenNet,
  startPress,
  startReviewSite,
  type OpenNetName,
} from './index.ts'

/** Starts all stand-ins: ports and data folder from the environment. Ends when its parent does. */
const folder = process.env.STANDINS_DATA ?? 'data/standins'
const first = Number(process.env.STANDINS_PORT ?? 4700)
const file = (name: string) => join(folder, `${name}.jsonl`)

const running = [
  await startLanternpage({ port: first, journalFile: file('lanternpage') }),
  await startReviewSite('wherabout', { port: first + 1, journalFile: file('wherabout') }),
  await startPress({ port: first + 2, journalFile: file('press') }),
  ...(await Promise.all(
    (Object.keys(openNets) as OpenNetName[]).map((name, i) =>
      startOpenNet(name, { port: first + 3 + i, journalFile: file(name) }),
    ),
  )),
  await startReviewSite('fivefold', { port: first + 9, journalFile: file('fivefold') }),
  await startMailroom({ port: first + 7, smtpPort: first + 8, journalFile: file('mailroom') }),
]
for (const { address } of running) console.log(`stand-in at ${address}`)

const stop = () => {
  void Promise.all(running.map((each) => each.close())).then(() => process.exit(0))
}
process.on('SIGTERM', stop)
process.on('SIGINT', stop)
if (process.env.MURRABEL_PARENT) {
  process.stdin.resume()
  process.stdin.on('close', stop)
}
