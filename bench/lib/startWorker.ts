import { fork, type ChildProcess } from 'node:child_process'
import { fileURLToPath } from 'node:url'

/** A process that works on jobs; it tells when it is up. */
export function startWorker(databaseUrl: string, networks: object[] = []): ChildProcess {
  return fork(fileURLToPath(new URL('workerProcess.ts', import.meta.url)), [], {
    env: {
      ...process.env,
      DATABASE_URL: databaseUrl,
      MURRABEL_KEY: Buffer.alloc(32, 1).toString('base64'),
      MURRABEL_ROLE: 'jobs',
      MURRABEL_NETWORKS: JSON.stringify(networks),
      PUBLIC_ADDRESS: 'http://127.0.0.1:1',
      LOG_LEVEL: 'silent',
    },
  })
}
