import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { migrate, openDatabase, type Database } from '@murrabel/server'
import { dueWork, type DueWork } from '../../src/jobs/due/dueWork.ts'
import { workKinds, workRules, type WorkKind, type WorkRules } from '../../src/jobs/due/kinds.ts'
import { Postponed } from '../../src/jobs/due/next.ts'
import type { Piece, Work, Works } from '../../src/jobs/due/piece.ts'
import { startRunner, type Runner } from '../../src/jobs/due/runner.ts'
import { workFigures } from '../../src/store/queries/jobs/dueWork.ts'
import { freshDatabase, type TestDatabase } from '../support/database.ts'
import { until } from '../support/until.ts'

let database: TestDatabase
let db: Database
let due: DueWork
let runners: Runner[] = []
const log = { warn: () => {}, error: () => {} }
const quick = Object.fromEntries(
  workKinds.map((kind) => [kind, { ...workRules[kind], firstWaitMs: 20, longestWaitMs: 200 }]),
) as Record<WorkKind, WorkRules>

beforeAll(async () => {
  database = await freshDatabase()
  db = openDatabase(database.url)
  await migrate(db)
  due = dueWork(db)
})
beforeEach(() => db.rows('DELETE FROM due_work'))
afterEach(async () => {
  await Promise.all(runners.map((runner) => runner.stop()))
  runners = []
})
afterAll(async () => {
  await db.close()
  await database.drop()
})

/** A runner that does one kind of work. */
function run(
  kind: WorkKind,
  work: Work,
  more: { leaseSeconds?: number; rules?: Partial<WorkRules> } = {},
): Runner {
  const idle: Work = async () => 'done'
  const works = { ...Object.fromEntries(workKinds.map((each) => [each, idle])), [kind]: work } as Works
  const runner = startRunner({
    db,
    works,
    leaseSeconds: more.leaseSeconds ?? 2,
    log,
    rules: { ...quick, [kind]: { ...quick[kind], ...more.rules } },
    everyMs: 30,
  })
  runners.push(runner)
  return runner
}
const never = (signal: AbortSignal) =>
  new Promise<never>((_, reject) => signal.addEventListener('abort', () => reject(signal.reason as Error)))
const left = async () => (await db.one<{ n: number }>(`SELECT count(*) AS n FROM due_work`))!.n

describe('due work', () => {
  test('is done once, by whichever of several workers, and is gone', async () => {
    const done: string[] = []
    for (let i = 0; i < 3; i++)
      run('act', async ({ subject }) => {
        done.push(subject)
        return 'done'
      })
    await due.ask(
      Array.from({ length: 60 }, (_, i) => ({ kind: 'act' as const, subject: i, owner: `o${i % 7}` })),
    )
    await until(async () => (await left()) === 0)
    expect([...done].sort()).toEqual(Array.from({ length: 60 }, (_, i) => String(i)).sort())
  })

  test('asked for in a transaction, it is there when that commits, and never when it does not', async () => {
    await db
      .inTransaction(async (tx) => {
        await due.ask({ kind: 'act', subject: 1, owner: 'a' }, tx)
        throw new Error('rolled back')
      })
      .catch(() => {})
    expect(await left()).toBe(0)
  })

  test('asked for again while it runs, it runs once more', async () => {
    let runs = 0
    let release = () => {}
    run('analyse', async () => {
      runs++
      if (runs === 1) await new Promise<void>((resolve) => (release = resolve))
      return 'done'
    })
    await due.ask({ kind: 'analyse', subject: 1, owner: 'a' })
    await until(() => runs === 1)
    await due.ask({ kind: 'analyse', subject: 1, owner: 'a' })
    await due.ask({ kind: 'analyse', subject: 1, owner: 'a' })
    release()
    await until(async () => runs === 2 && (await left()) === 0)
  })

  test('one that fails is tried again with growing waits, then given up with its reason, and can be revived', async () => {
    let runs = 0
    run(
      'act',
      async () => {
        runs++
        throw new Error('the network is down')
      },
      { rules: { tries: 3 } },
    )
    await due.ask({ kind: 'act', subject: 1, owner: 'a' })
    const row = () =>
      db.one<{ state: string; error: string }>(`SELECT state, error FROM due_work WHERE subject = '1'`)
    await until(async () => (await row())?.state === 'failed')
    expect(runs).toBe(3)
    expect((await row())?.error).toBe('the network is down')
    await due.ask({ kind: 'act', subject: 1, owner: 'a' })
    await until(() => runs > 3)
  })

  test('a wait that a network asks for uses up no try', async () => {
    let runs = 0
    run(
      'act',
      async () => {
        if (++runs < 6) throw new Postponed('later', 10)
        return 'done'
      },
      { rules: { tries: 2 } },
    )
    await due.ask({ kind: 'act', subject: 1, owner: 'a' })
    await until(async () => (await left()) === 0)
    expect(runs).toBe(6)
  })

  test('what hangs, throws or fails for one owner keeps no other waiting', async () => {
    const done: string[] = []
    run('act', async ({ subject, signal }) => {
      if (subject.startsWith('hang')) return never(signal)
      if (subject.startsWith('throw')) throw new Error('always')
      done.push(subject)
      return 'done'
    })
    await due.ask([
      ...[1, 2, 3].map((i) => ({ kind: 'act' as const, subject: `hang${i}`, owner: 'hanging' })),
      ...[1, 2, 3].map((i) => ({ kind: 'act' as const, subject: `throw${i}`, owner: 'broken' })),
      ...[1, 2, 3, 4, 5].map((i) => ({ kind: 'act' as const, subject: `well${i}`, owner: 'healthy' })),
    ])
    const began = Date.now()
    await until(() => done.length === 5)
    expect(Date.now() - began).toBeLessThan(3000)
  })

  test('many that never worked leave room for those that do', async () => {
    const asked: string[] = []
    run('collect', async ({ subject, signal }) => {
      if (subject.startsWith('dead')) return never(signal)
      asked.push(subject)
      return { againInMs: 60_000 }
    })
    await due.ask(
      Array.from({ length: 5 }, (_, i) => ({
        kind: 'collect' as const,
        subject: `well${i}`,
        owner: `w${i}`,
      })),
    )
    await until(() => asked.length === 5)
    await due.ask(
      Array.from({ length: 40 }, (_, i) => ({
        kind: 'collect' as const,
        subject: `dead${i}`,
        owner: `d${i}`,
      })),
    )
    await due.ask(
      Array.from({ length: 5 }, (_, i) => ({
        kind: 'collect' as const,
        subject: `well${i}`,
        owner: `w${i}`,
      })),
    )
    await until(() => asked.length === 10)
  })

  test('an owner has no more than its share at once, over all workers', async () => {
    let now = 0
    let most = 0
    const work: Work = async () => {
      most = Math.max(most, ++now)
      await new Promise((resolve) => setTimeout(resolve, 15))
      now--
      return 'done'
    }
    run('look', work)
    run('look', work)
    await due.ask(Array.from({ length: 12 }, (_, i) => ({ kind: 'look' as const, subject: i, owner: 'one' })))
    await until(async () => (await left()) === 0)
    expect(most).toBeLessThanOrEqual(workRules.look.perOwner)
  })

  test('a lease is kept alive for as long as the work takes; nobody else begins it', async () => {
    let runs = 0
    let release = () => {}
    const work: Work = async () => {
      runs++
      await new Promise<void>((resolve) => (release = resolve))
      return 'done'
    }
    run('act', work, { leaseSeconds: 1 })
    run('act', work, { leaseSeconds: 1 })
    await due.ask({ kind: 'act', subject: 1, owner: 'a' })
    const leases: number[] = []
    const until_ = async () => {
      const row = await db.one<{ until: Date }>('SELECT lease_until AS until FROM due_work')
      if (row?.until && row.until.getTime() !== leases.at(-1)) leases.push(row.until.getTime())
      return leases.length >= 4
    }
    await until(until_)
    expect(runs).toBe(1)
    release()
    await until(async () => (await left()) === 0)
  })

  test('work of a process that died is taken over, with the progress it had kept', async () => {
    const seen: unknown[] = []
    await due.ask({ kind: 'import', subject: 7, owner: 'a' })
    // A worker that claimed it, kept how far it had come, and was never heard of again.
    await db.rows(
      `UPDATE due_work SET lease = gen_random_uuid(), lease_until = now() + interval '1 second', attempts = 1, progress = '{"at":40}'`,
    )
    run('import', async ({ progress }) => {
      seen.push(progress)
      return 'done'
    })
    await until(() => seen.length === 1)
    expect(seen).toEqual([{ at: 40 }])
  })

  test('whoever lost a lease can keep nothing more, and does not end what another has begun', async () => {
    let first: Piece | null = null
    let refused: unknown = null
    run('import', async (piece) => {
      first = piece
      await db.rows(
        `UPDATE due_work SET lease = gen_random_uuid(), lease_until = now() + interval '30 seconds'`,
      )
      await piece.keep({ at: 1 }).catch((error: unknown) => (refused = error))
      return 'done'
    })
    await due.ask({ kind: 'import', subject: 1, owner: 'a' })
    await until(() => refused !== null)
    expect(first).not.toBeNull()
    expect(await db.rows('SELECT progress, lease IS NOT NULL AS held FROM due_work')).toEqual([
      { progress: null, held: true },
    ])
  })

  test('work that takes too long counts as failed, and its place is free again', async () => {
    const errors = () => db.rows<{ error: string }>('SELECT error FROM due_work WHERE error IS NOT NULL')
    run('act', async () => new Promise<never>(() => {}), { rules: { longestMs: 100, tries: 1 } })
    await due.ask({ kind: 'act', subject: 1, owner: 'a' })
    await until(async () => (await errors())[0]?.error === 'it took longer than it may')
  })

  test('a process that stops gives back what it has in hand', async () => {
    const runner = run('watchHistory', async ({ signal }) => never(signal))
    await due.ask({ kind: 'watchHistory', subject: 1, owner: 'a' })
    await until(
      async () => (await workFigures(db)).find(({ kind }) => kind === 'watchHistory')?.running === 1,
    )
    await runner.stop()
    expect(await db.rows('SELECT lease, attempts FROM due_work')).toEqual([{ lease: null, attempts: 0 }])
  })

  test('the figures say what is due, running and given up, and for how long', async () => {
    await due.ask({ kind: 'act', subject: 1, owner: 'a' })
    await due.ask({ kind: 'act', subject: 2, owner: 'a', at: Date.now() + 60_000 })
    await db.rows(
      `UPDATE due_work SET next_at = now() - interval '90 seconds', changed_at = now() - interval '90 seconds' WHERE subject = '1'`,
    )
    expect(await workFigures(db)).toEqual([{ kind: 'act', due: 1, running: 0, failed: 0, oldestSeconds: 90 }])
  })
})
