import { readConfig, start } from '@murrabel/server'

/** A server process as its environment says; tells when it is up, and ends with whoever started it. */
await start(readConfig(process.env))
process.on('disconnect', () => process.exit(0))
process.send!('up')
