import fc from 'fast-check'
import Papa from 'papaparse'
import { afterAll, beforeAll, expect, test } from 'vitest'
import { logKinds, type LogLine, type LogPage, type Problem } from '@murrabel/contract'
import { logPredicate, logSubjects, type LensContext, type LensLogLine } from '@murrabel/core/lens'
import { logLensArbitrary } from '../../../core/test/lens/lensArbitrary.ts'
import { countLog, logPage } from '../../src/store/queries/log/page.ts'
import { parseTimeKey, printTimeKey, type TimeKey } from '../../src/store/queries/shared/timeKey.ts'
import { startConnectedWorld, type ConnectedWorld } from '../support/connected.ts'
import type { Caller } from '../support/world.ts'

let world: ConnectedWorld
let owner: Caller
beforeAll(async () => {
  world = await startConnectedWorld()
  owner = await world.signIn('wynn')
}, 150_000)
afterAll(() => world.stop())

const read = async (query: string) => (await owner<LogPage & Problem>('GET', `/api/log?${query}`)).body

test('who did what stands there with its name, and leads to it', async () => {
  const thread = await world.threadOf('lost a green rucksack')
  await world.specialist('POST', `/api/threads/${thread.id}/events`, {
    kind: 'finish',
    edition: thread.edition,
  })
  const { rows } = await read('doer=2&concerns=thread')
  const me = (await world.specialist<{ me: { id: number } }>('GET', '/api/brand')).body.me.id
  expect((await read(`doer=${me}&concerns=thread`)).rows[0]).toMatchObject({
    by: 'Tamsin Kerr',
    kind: 'finish',
    subject: 'thread',
    threadId: thread.id,
    about: 'Bastian Feld',
    undone: false,
  })
  expect(rows.every(({ subject }) => subject === 'thread')).toBe(true)
  expect(
    (await read('doer=itself')).rows.every(({ actor, by }) => actor !== 'colleague' && by === null),
  ).toBe(true)
  const signIns = (await read('concerns=colleague')).rows.filter(({ kind }) => kind === 'signIn')
  expect(signIns[0]).toMatchObject({ about: 'Wynn Adair', by: 'Wynn Adair' })
})

test('a lens that is not understood is named; nobody but those who set up reads it', async () => {
  expect(await read('doer=somebody')).toMatchObject({ code: 'lensUnknown', fields: [{ field: 'doer' }] })
  expect(await read('concerns=boats')).toMatchObject({ code: 'lensUnknown' })
  expect(await read('after=x')).toMatchObject({ code: 'lensUnknown', fields: [{ field: 'after' }] })
  expect((await world.specialist('GET', '/api/log')).status).toBe(403)
  expect((await world.specialist('GET', '/api/log.csv')).status).toBe(403)
})

test('the predicate and the database choose the same lines for any lens, page after page', async () => {
  const { db } = world.server.context
  const now = Date.now()
  await db.rows('DELETE FROM events')
  // Several within a millisecond, so that a page may end between them.
  await db.rows(
    `INSERT INTO events (brand_id, subject, actor, colleague_id, kind, at)
     SELECT 1, (ARRAY[${logSubjects.map((name) => `'${name}'`).join(',')}])[1 + n % ${logSubjects.length}],
       (ARRAY['colleague', 'colleague', 'network', 'system'])[1 + n % 4],
       CASE WHEN n % 4 < 2 THEN 1 + n % 3 END, 'finish', to_timestamp($1::float8 / 1000) - (n / 5) * interval '7 hours' + (n % 5) * interval '3 microseconds'
     FROM generate_series(1, 400) n`,
    [now],
  )
  await db.rows(
    `INSERT INTO events (brand_id, subject, actor, kind) SELECT id, 'brand', 'system', 'kestrel' FROM brands WHERE id <> 1`,
  )
  const lines = (
    await db.rows<{ id: number; at: Date; by: number | null; subject: LensLogLine['subject'] }>(
      'SELECT id, at, colleague_id AS by, subject FROM events WHERE brand_id = 1 ORDER BY at DESC, id DESC',
    )
  ).map(({ at, by, ...line }) => ({ ...line, at: at.getTime(), by: by ?? ('itself' as const) }))
  const context: LensContext = { now, zone: 'Europe/London', me: 2, watchesOf: () => [] }
  const lens = logLensArbitrary
  let some = 0
  await fc.assert(
    fc.asyncProperty(lens, fc.integer({ min: 1, max: 60 }), async (asked, limit) => {
      const expected = lines.filter(logPredicate(asked, context)).map(({ id }) => id)
      const question = { lens: asked, context, brandId: 1 }
      const found: number[] = []
      for (let after: TimeKey | null = null; ;) {
        const page: { rows: LogLine[]; last: TimeKey | null } = await logPage(db, question, { limit, after })
        found.push(...page.rows.map(({ id }) => id))
        if (page.rows.length < limit) break
        after = parseTimeKey(printTimeKey(page.last!))
      }
      expect(found).toEqual(expected)
      expect(await countLog(db, question)).toBe(expected.length)
      if (expected.length && expected.length < lines.length) some++
    }),
    { numRuns: 80 },
  )
  expect(some).toBeGreaterThan(20)
}, 150_000)

test('as a table: every line once, with nothing a spreadsheet would reckon with', async () => {
  const { db } = world.server.context
  await db.rows('DELETE FROM events')
  const me = (await world.specialist<{ me: { id: number } }>('GET', '/api/brand')).body.me.id
  await db.rows(`UPDATE colleagues SET name = '=1+1' WHERE id = $1`, [me])
  await db.rows(
    `INSERT INTO events (brand_id, subject, subject_id, actor, colleague_id, kind, detail)
     SELECT 1, 'colleague', $1::int, 'colleague', $1::int, (ARRAY[${logKinds.map((kind) => `'${kind}'`).join(',')}])[1 + n % ${logKinds.length}], '{"a":"line\\nbreak"}'
     FROM generate_series(1, 2500) n`,
    [me],
  )
  const answer = await fetch(`${world.config.publicAddress}/api/log.csv?concerns=colleague`, {
    headers: { cookie: owner.cookie },
  })
  const text = await answer.text()
  expect(answer.headers.get('content-type')).toContain('text/csv')
  const { data } = Papa.parse<Record<string, string>>(text.replace('\ufeff', ''), {
    header: true,
    skipEmptyLines: true,
  })
  expect(new Set(data.map(({ id }) => id)).size).toBe(2500)
  expect(data.every(({ by, about }) => !by!.startsWith('=') && !about!.startsWith('='))).toBe(true)
  expect(JSON.parse(data[0]!.detail!)).toEqual({ a: 'line\nbreak' })
})
