import { spawn, type ChildProcess } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import type { Config } from '@murrabel/server'

const main = fileURLToPath(new URL('../../src/main.ts', import.meta.url))

export interface ServerProcess {
  kill(): Promise<void>
  process: ChildProcess
}

/**
 * A server in a process of its own, to be killed without warning.
 *
 * @param role what it does; a process that serves browsers listens on `port`
 */
export function startWorkerProcess(
  config: Config,
  { role = 'jobs', port = 0 }: { role?: 'web' | 'jobs'; port?: number } = {},
): ServerProcess {
  const child = spawn(process.execPath, ['--import', import.meta.resolve('tsx'), main], {
    env: {
      ...process.env,
      DATABASE_URL: config.databaseUrl,
      MURRABEL_KEY: config.sealingKey.toString('base64'),
      MURRABEL_ROLE: role,
      PORT: String(port),
      MURRABEL_NETWORKS: JSON.stringify(config.networks),
      MURRABEL_INNER_ADDRESSES: config.allowedInnerAddresses.join(','),
      MURRABEL_LEASE_SECONDS: String(config.leaseSeconds),
      PUBLIC_ADDRESS: config.publicAddress,
      MURRABEL_SMTP: config.smtpUrl ?? '',
      MURRABEL_MAIL_FROM: config.mailFrom,
      LOG_LEVEL: process.env.TEST_LOG ?? 'silent',
    },
    stdio: process.env.TEST_LOG ? 'inherit' : 'ignore',
  })
  // A test that ends early leaves no worker behind.
  const kill = () => child.kill('SIGKILL')
  process.once('exit', kill)
  const exited = new Promise<void>((resolve) => child.once('exit', () => resolve())).then(() => {
    process.off('exit', kill)
  })
  return {
    process: child,
    async kill() {
      kill()
      await exited
    },
  }
}
