import { pino } from 'pino'
import { expect, test } from 'vitest'
import { openDatabase } from '@murrabel/server'
import { startSchedule } from '../../src/jobs/schedule.ts'
import { dueWork } from '../../src/jobs/due/dueWork.ts'
import { freshDatabase } from '../support/database.ts'

test('processes that start together on a new database all get their schedule', async () => {
  const database = await freshDatabase()
  const processes = Array.from({ length: 4 }, () => openDatabase(database.url))
  const started = await Promise.allSettled(
    processes.map((db) => startSchedule({ db, log: pino({ level: 'silent' }), due: dueWork(db) })),
  )
  expect(started.map((each) => (each.status === 'rejected' ? String(each.reason) : 'started'))).toEqual(
    processes.map(() => 'started'),
  )
  for (const each of started) if (each.status === 'fulfilled') await each.value.stop({ graceful: false })
  for (const db of processes) await db.close()
  await database.drop()
})
