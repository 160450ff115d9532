import yauzl from 'yauzl'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { DataRequest, PersonCard, Problem, TakenCustomers, ThreadAnswer } from '@murrabel/contract'
import type { CollectedItem } from '../../src/connectors/index.ts'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { totalsApart } from '../support/totals.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let owner: Caller
let specialist: Caller
const profiles: Record<string, IngestProfile> = {}

beforeAll(async () => {
  world = await startTestWorld()
  ;[owner, specialist] = (await Promise.all(
    (['wynn', 'tamsin'] as const).map((who) => world.signIn(who)),
  )) as [Caller, Caller]
  const { db } = world.server.context
  for (const [name, channel, network] of [
    ['post', 'email', 'email'],
    ['page', 'pages', 'lanternpage'],
    ['search', 'posts', 'lanternpage'],
  ] as const)
    profiles[name] = (await db.one<IngestProfile>(
      `INSERT INTO profiles (brand_id, place_id, channel, network, outside_id, name, status, hook_token)
       VALUES (1, 1, $1, $2, $3, $3, 'expired', $3)
       RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
      [channel, network, name],
    ))!
}, 150_000)
afterAll(() => world.stop())

let nth = 0
async function says(
  profile: string,
  author: CollectedItem['author'],
  text: string,
  {
    thread,
    id = `${profile}-${++nth}`,
    ...more
  }: { thread?: string; id?: string } & Partial<CollectedItem> = {},
): Promise<{ entry: number; thread: number; id: string }> {
  await ingest(world.server.context, profiles[profile]!, [
    {
      outsideId: id,
      threadId: thread ?? id,
      kind: 'message',
      direction: 'in',
      author,
      text,
      at: Date.now() - 3_600_000,
      raw: { text, author },
      ...more,
    },
  ])
  await settled(world)
  const { db } = world.server.context
  const row = await db.one<{ entry: number; thread: number }>(
    'SELECT id AS entry, thread_id AS thread FROM entries WHERE outside_id = $1 AND profile_id = $2',
    [id, profiles[profile]!.id],
  )
  return { ...row!, id }
}
const personOf = async (entry: number) =>
  (await world.server.context.db.one<{ id: number }>(
    'SELECT a.shown_as AS id FROM entries e JOIN accounts a ON a.id = e.account_id WHERE e.id = $1',
    [entry],
  ))!.id
const erase = (person: number, call = owner) =>
  call<DataRequest & Problem>('POST', `/api/people/${person}/erasures`, { askedBy: 'by mail, 27 Nov' })
const customer = (more: object = {}) =>
  owner<TakenCustomers>('POST', '/api/customers', {
    customers: [{ reference: 'C7', name: 'Odile Marchetaux', email: 'odile@marchetaux.example', ...more }],
  })

/** Everything in the database that is text, one line a row. */
async function everyText(): Promise<string[]> {
  const { db } = world.server.context
  const tables = await db.rows<{ name: string }>(
    `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = 'public' AND table_type = 'BASE TABLE'`,
  )
  const rows = await Promise.all(
    tables.map(({ name }) =>
      db.rows<{ line: string }>(`SELECT '${name}: ' || t::text AS line FROM "${name}" t`),
    ),
  )
  return rows.flat().map(({ line }) => line)
}
const holding = async (...words: string[]) => {
  const lower = words.map((word) => word.toLowerCase())
  return (await everyText()).filter((line) => lower.some((word) => line.toLowerCase().includes(word)))
}

describe('erasing somebody', () => {
  const odile = { outsideId: 'odile@marchetaux.example', name: 'Odile Marchetaux' }
  const onPage = { outsideId: 'om-61', name: 'Odile Marchetaux', handle: 'odilezephyr' }
  const secret = 'zephyrglass'
  let person: number
  let mail: { entry: number; thread: number; id: string }
  let comment: typeof mail
  const countsOf = () =>
    world.server.context.db.rows(
      `SELECT kind, sentiment, rating, count(*) FROM entries WHERE brand_id = 1 GROUP BY 1, 2, 3 ORDER BY 1, 2, 3`,
    )
  const rollupsOf = () =>
    world.server.context.db.rows(`SELECT md5(string_agg(r::text, '' ORDER BY r::text)) AS sum FROM rollups r`)

  beforeAll(async () => {
    await customer({
      tags: ['zephyr club'],
      note: `Likes ${secret}`,
      visit: { reference: 'SKZEPHYR1', at: '2026-11-20T09:00:00Z', route: 'Dunmarrow to Port Ellery' },
    })
    mail = await says('post', odile, `My ${secret} was broken, call Odile on +44 7700 900123`, {
      title: `The ${secret}`,
    })
    comment = await says('page', onPage, `A wonderful crossing, ${secret}!`, {
      thread: 'shared',
      kind: 'comment',
    })
    await says('page', { outsideId: 'x1', name: 'Bastian Feld' }, 'I agree with her', {
      thread: 'shared',
      kind: 'comment',
    })
    // The search of the same network has heard it as well.
    await says('search', onPage, `A wonderful crossing, ${secret}!`, {
      id: comment.id,
      thread: 'shared',
      kind: 'comment',
    })
    person = await personOf(mail.entry)
    await owner('POST', '/api/people/joins', { one: person, other: await personOf(comment.entry) })
    const { db } = world.server.context
    await db.rows(
      `WITH a AS (
         INSERT INTO alerts (brand_id, name, lens, condition, quiet_minutes, active, feed_token)
         VALUES (1, 'Many', '', '{"kind":"entry"}', 60, false, 'many') RETURNING id
       )
       INSERT INTO alert_events (alert_id, brand_id, kind, at, detail)
       SELECT id, 1, 'begin', now(), '{"text":"Many","link":"/watch","phrases":["late boat","thanks odile","Marchetaux’s bag","ship’s code"]}' FROM a`,
    )
    await owner('PUT', `/api/people/${person}`, { note: `Odile of the ${secret}`, standing: 'customer' })
    await owner('POST', `/api/threads/${mail.thread}/follow-ups`, {
      kind: 'followUp',
      what: `Send a new ${secret}`,
      dueAt: '2026-12-01T09:00:00Z',
    })
    // What the team says of them, a file beside a draft, and an answer that waits for a lead's word with another.
    await owner('POST', `/api/threads/${mail.thread}/notes`, {
      text: `Odile broke her ${secret}`,
      mentions: [],
    })
    const file = await world.server.context.files.put(Buffer.from(secret))
    await db.rows(
      `WITH asked AS (
         INSERT INTO approvals (brand_id, thread_id, text, comment, key, asked_at)
         VALUES (1, $1, $2, $2, gen_random_uuid(), now()) RETURNING id
       )
       INSERT INTO attachments (brand_id, draft_thread_id, approval_id, colleague_id, name, type, bytes, file)
       SELECT 1, CASE WHEN n = 1 THEN $1::bigint END, CASE WHEN n = 2 THEN asked.id END, 1, $2, 'text/plain', 11, $3
       FROM asked, generate_series(1, 2) n`,
      [mail.thread, `Dear Odile, your ${secret}`, file],
    )
    // An answer that waits to go out.
    await world.server.context.db.rows(
      `WITH answer AS (
         INSERT INTO entries (brand_id, profile_id, thread_id, place_id, direction, kind, channel, text, at, analysed_at)
         VALUES (1, $1, $2, 1, 'out', 'message', 'email', $3, now(), now()) RETURNING id
       )
       INSERT INTO outside_actions (brand_id, profile_id, thread_id, entry_id, kind, key, target, payload, cause)
       SELECT 1, $1, $2, id, 'reply', gen_random_uuid(), '{}', jsonb_build_object('text', $3::text), 'colleague' FROM answer`,
      [profiles.post!.id, mail.thread, `Dear Odile, the ${secret} is on its way`],
    )
  })

  test('takes every word and name out of every table, and leaves the counts', async () => {
    expect((await holding(secret)).length).toBeGreaterThan(9)
    expect((await erase(person, specialist)).body.code).toBe('notAllowed')
    expect((await owner('POST', `/api/people/${person}/erasures`, {})).status).toBe(422)
    const [counts, rollups] = [await countsOf(), await rollupsOf()]
    const { status, body } = await erase(person)
    expect([status, body]).toMatchObject([
      200,
      { kind: 'erase', askedBy: 'by mail, 27 Nov', by: 'Wynn Adair', counts: { answers: 1, visits: 1 } },
    ])
    await settled(world)
    expect(await holding(secret, 'marchetaux', 'odile', 'SKZEPHYR', '7700900123', 'om-61')).toEqual([])
    const { db } = world.server.context
    expect((await db.one(`SELECT detail->'phrases' AS phrases FROM alert_events`))!).toEqual({
      phrases: ['late boat', 'ship’s code'],
    })
    expect(await countsOf()).toEqual(counts)
    expect(await rollupsOf()).toEqual(rollups)
    expect((await erase(person)).body.code).toBe('erasedAlready')
  })

  test('is seen on the thread and the card, and nothing waits there', async () => {
    const { body } = await owner<ThreadAnswer>('GET', `/api/threads/${mail.thread}`)
    expect(body.state).toBe('done')
    expect(body.entries.map(({ erased, text }) => [erased, text])).toEqual([[true, '']])
    expect((await owner<PersonCard>('GET', `/api/people/${person}`)).body).toMatchObject({
      name: '—',
      erasedAt: expect.any(String),
      ways: [],
      tags: [],
      note: '',
      entries: [],
    })
    const shared = (await owner<ThreadAnswer>('GET', `/api/threads/${comment.thread}`)).body
    expect(shared.entries.map(({ text }) => text)).toContain('I agree with her')
    const { db } = world.server.context
    expect(await db.rows(`SELECT state FROM outside_actions WHERE thread_id = $1`, [mail.thread])).toEqual([
      { state: 'cancelled' },
    ])
  })

  test('is not brought back: by a network that tells it again, a search, another reading, a till or a file', async () => {
    for (const profile of ['page', 'search'])
      await says(profile, onPage, `A wonderful crossing, ${secret}, edited!`, {
        id: comment.id,
        thread: 'shared',
        kind: 'comment',
      })
    await says('post', odile, `My ${secret} was broken`, { id: mail.id })
    await world.server.context.db.rows('UPDATE reading_steps SET version = 0')
    expect((await customer()).body).toEqual({ added: 0, known: 0, erased: 1 })
    expect(
      (await customer({ visit: { reference: 'SKZEPHYR1', at: '2026-12-24T09:00:00Z', route: 'x' } })).body
        .erased,
    ).toBe(1)
    expect(
      (
        await owner<TakenCustomers>('POST', '/api/customers', {
          at: '2026-11-01T00:00:00Z',
          customers: [
            {
              email: 'odile@marchetaux.example',
              name: 'Other',
              visit: { reference: 'o', at: '2026-11-02T09:00:00Z' },
            },
          ],
        })
      ).body.erased,
    ).toBe(1)
    expect(await holding(secret, 'marchetaux', 'odile', 'SKZEPHYR', 'om-61')).toEqual([])
  })

  test('whoever comes again later is somebody new', async () => {
    const later = new Date(Date.now() + 86_400_000).toISOString()
    expect((await customer({ visit: { reference: 'new', at: later } })).body.added).toBe(1)
    const { entry } = await says('post', odile, 'Hello again')
    expect(await personOf(entry)).not.toBe(person)
  })

  test('waits while an answer to them is on its way', async () => {
    const ulf = await says('post', { outsideId: 'ulf@tarn.example', name: 'Ulf Tarn' }, 'Where is my bag?')
    const { db } = world.server.context
    await db.rows(
      `INSERT INTO outside_actions (brand_id, profile_id, thread_id, kind, key, target, payload, cause, state)
       SELECT 1, profile_id, id, 'reply', gen_random_uuid(), '{}', '{"text":"Here"}', 'colleague', 'sending' FROM threads WHERE id = $1`,
      [ulf.thread],
    )
    const id = await personOf(ulf.entry)
    expect((await erase(id)).body.code).toBe('answerUnderWay')
    expect((await owner<PersonCard>('GET', `/api/people/${id}`)).body.name).toBe('Ulf Tarn')
    await db.rows(`UPDATE outside_actions SET state = 'sent' WHERE thread_id = $1`, [ulf.thread])
    expect((await erase(id)).status).toBe(200)
    expect((await holding('ulf tarn', 'Where is my bag')).length).toBe(0)
  })
})

describe('handing out somebody’s data', () => {
  /** Names and contents of a ZIP file, read by another library than the one that wrote it. */
  const unzip = (bytes: Buffer): Promise<Record<string, string>> =>
    new Promise((resolve, reject) => {
      const files: Record<string, string> = {}
      yauzl.fromBuffer(bytes, { lazyEntries: true }, (error, zip) => {
        if (error) return reject(error)
        zip.on('entry', (entry: yauzl.Entry) =>
          zip.openReadStream(entry, (failed, stream) => {
            if (failed) return reject(failed)
            const parts: Buffer[] = []
            stream.on('data', (part: Buffer) => parts.push(part))
            stream.on('end', () => {
              files[entry.fileName] = Buffer.concat(parts).toString()
              zip.readEntry()
            })
          }),
        )
        zip.on('end', () => resolve(files))
        zip.readEntry()
      })
    })

  test('gives one ZIP of what they said, our answers and their files, and of nobody else', async () => {
    const author = { outsideId: 'hanne@vik.example', name: 'Hanne <b>Vik</b>' }
    const { entry, thread } = await says('post', author, 'My <script>alert(1)</script> bag', {
      title: 'Bag & baggage',
    })
    await says('page', { outsideId: 'hv', name: 'Hanne Vik' }, 'Mine in a shared thread', {
      thread: 'talk',
      kind: 'comment',
    })
    await says('page', { outsideId: 'other', name: 'Somebody Else' }, 'Not hers at all', {
      thread: 'talk',
      kind: 'comment',
    })
    const { context } = world.server
    const file = await context.files.put(Buffer.from('a receipt'))
    await context.db.rows(
      `INSERT INTO attachments (brand_id, entry_id, name, type, bytes, file) VALUES (1, $1, '../../re:ceipt.txt', 'text/plain', 9, $2), (1, $1, 'lost.txt', 'text/plain', 9, $3)`,
      [entry, file, 'f'.repeat(64)],
    )
    await owner('POST', `/api/threads/${thread}/notes`, { text: 'Her bag is <b>green</b>', mentions: [] })
    const shared = await context.db.one<{ id: number }>(`SELECT id FROM threads WHERE outside_id = 'talk'`)
    await owner('POST', `/api/threads/${shared!.id}/notes`, { text: 'Both of them complain', mentions: [] })
    const id = await personOf(entry)
    const other = await context.db.one<{ id: number }>(
      `SELECT shown_as AS id FROM accounts WHERE outside_id = 'hv'`,
    )
    await owner('POST', '/api/people/joins', { one: id, other: other!.id })
    const { entries } = (await owner<PersonCard>('GET', `/api/people/${id}`)).body
    expect(entries.flatMap(({ files }) => files.map(({ name }) => name)).sort()).toEqual([
      '../../re:ceipt.txt',
      'lost.txt',
    ])
    expect((await owner('GET', `/api/people/${id}/hand-outs/999`)).status).toBe(404)
    const asked = (
      await owner<DataRequest>('POST', `/api/people/${id}/hand-outs`, { askedBy: 'Hanne, at the desk' })
    ).body
    expect(asked).toMatchObject({
      kind: 'handOut',
      by: 'Wynn Adair',
      counts: { entries: 2, attachments: 2, accounts: 2 },
    })
    const answer = await fetch(`${world.config.publicAddress}/api/people/${id}/hand-outs/${asked.id}`, {
      headers: { cookie: owner.cookie },
    })
    expect(answer.headers.get('content-type')).toBe('application/zip')
    expect(answer.headers.get('content-disposition')).toBe(`attachment; filename=murrabel-person-${id}.zip`)
    const files = await unzip(Buffer.from(await answer.arrayBuffer()))
    expect(Object.keys(files).sort()).toEqual([
      expect.stringMatching(/^files\/\d+-re_ceipt\.txt$/),
      expect.stringMatching(/^files\/\d+-lost\.txt$/),
      'person.html',
      'person.json',
    ])
    expect(Object.values(files)).toContain('a receipt')
    const data = JSON.parse(files['person.json']!) as { entries: { text: string; threadId: number }[] }
    expect(data).toMatchObject({
      format: 'murrabel-person',
      person: { name: 'Hanne Vik', otherNames: ['Hanne <b>Vik</b>'] },
      ways: [{ kind: 'email', value: 'hanne@vik.example' }],
    })
    expect(data).toMatchObject({
      notes: [{ threadId: thread, kind: 'note', text: 'Her bag is <b>green</b>' }],
    })
    expect(files['person.html']).toContain('Her bag is &lt;b&gt;green')
    expect(JSON.stringify(files)).not.toContain('Both of them')
    expect(data.entries.map(({ text }) => text).sort()).toEqual([
      'Mine in a shared thread',
      'My <script>alert(1)</script> bag',
    ])
    expect(data.entries.some(({ threadId }) => threadId === thread)).toBe(true)
    expect(files['person.html']).toContain('My &lt;script&gt;alert(1)&lt;/script&gt; bag')
    expect(files['person.html']).not.toContain('<script')
    expect(JSON.stringify(files)).not.toContain('Not hers')
    const { body: requests } = await owner<DataRequest[]>('GET', '/api/data-requests')
    expect(requests[0]).toEqual(asked)
    expect((await specialist('GET', '/api/data-requests')).status).toBe(403)
  })
})

test('erased or not, what is kept of each person is what a count gives', async () => {
  expect(await totalsApart(world.server.context.db)).toEqual([])
})
