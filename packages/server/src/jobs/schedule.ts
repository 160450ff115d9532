import PgBoss from 'pg-boss'
import type { Context } from '../context.ts'
import { alone } from '../store/alone.ts'

const pruneQueue = 'prune'

/** What comes by the calendar is pg-boss's, which lets one process of all of them ring; the work itself is due work. */
export async function startSchedule({ db, log, due }: Pick<Context, 'db' | 'log' | 'due'>): Promise<PgBoss> {
  const boss = new PgBoss({ connectionString: db.url, max: 2, maintenanceIntervalSeconds: 600 })
  boss.on('error', (error) => log.warn({ err: error }, 'schedule'))
  // It makes tables of its own: two that do so for the first time at once wait for each other, and one of them fails.
  await alone(db, 'settingUpSchedule', async () => {
    await boss.start()
    await boss.createQueue(pruneQueue)
    await boss.schedule(pruneQueue, '17 3 * * *')
  })
  await boss.work(pruneQueue, { pollingIntervalSeconds: 30 }, () =>
    due.ask({ kind: 'prune', subject: 'all', owner: 'all' }),
  )
  return boss
}
