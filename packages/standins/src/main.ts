import { join } from 'node:path'
import {
  openNets,
  startFerrysite,
  startLanternpage,
  startMailroom,
  startOpenNet,
  startPress,
  startReviewSite,
  startTextmast,
  type OpenNetName,
} from './index.ts'

/** Starts all stand-ins: ports and data folder from the environment. Ends when its parent does. */
const folder = process.env.STANDINS_DATA ?? 'data/standins'
const first = Number(process.env.STANDINS_PORT ?? 4700)
const file = (name: string) => join(folder, `${name}.jsonl`)

const mailroom = await startMailroom({
  port: first + 7,
  smtpPort: first + 8,
  imapPort: first + 11,
  journalFile: file('mailroom'),
})
// Of the demo world; its password is no secret.
mailroom.mailbox('hello@skerrivane.example', 'sound-of-orrin')
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
  await startTextmast({ port: first + 10, journalFile: file('textmast') }),
  await startFerrysite({ port: first + 12, journalFile: file('ferrysite') }),
  mailroom,
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
