import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { migrate, openDatabase, type Database } from '@murrabel/server'
import type { CollectedItem } from '../../src/connectors/index.ts'
import { dueWork } from '../../src/jobs/due/dueWork.ts'
import { ingest, type IngestProfile } from '../../src/services/intake/ingest.ts'
import { freshDatabase, type TestDatabase } from '../support/database.ts'

let database: TestDatabase
let db: Database
let parts: Parameters<typeof ingest>[0]
const profile: IngestProfile = {
  id: 1,
  brandId: 1,
  placeId: null,
  channel: 'pages',
  network: 'n',
  outsideId: 'p',
}

beforeAll(async () => {
  database = await freshDatabase()
  db = openDatabase(database.url)
  parts = {
    db,
    due: dueWork(db),
    now: () => Date.UTC(2026, 10, 25),
    live: { tell: () => Promise.resolve() } as never,
    files: undefined as never,
    fileWorker: undefined as never,
  }
  await migrate(db)
  await db.rows(`INSERT INTO brands (id, name, zone) VALUES (1, 'b', 'UTC')`)
  await db.rows(
    `INSERT INTO profiles (id, brand_id, channel, network, outside_id, name, status, hook_token) VALUES (1, 1, 'pages', 'n', 'o', 'n', 'connected', 'h')`,
  )
})
afterAll(async () => {
  await db.close()
  await database.drop()
})

const item = (outsideId: string, more: Partial<CollectedItem> = {}): CollectedItem => ({
  outsideId,
  threadId: `comment/${outsideId}`,
  kind: 'comment',
  direction: 'in',
  author: { outsideId: `a-${outsideId}`, name: `Author of ${outsideId}` },
  text: `text of ${outsideId}`,
  at: Date.UTC(2026, 0, 1),
  raw: { id: outsideId },
  ...more,
})
const post = item('post', { threadId: 'post/post', direction: 'out', text: 'Calm seas' })
const top = item('top', { parentId: 'post' })
const answer = item('answer', { parentId: 'top', direction: 'out' })
const deep = item('deep', { parentId: 'answer' })
const other = item('other', { parentId: 'post' })

interface Shape {
  thread: string
  title: string | null
  entries: string
}
const shape = () =>
  db.rows<Shape>(
    `SELECT t.outside_id AS thread, t.title, string_agg(e.outside_id, ',' ORDER BY e.outside_id) AS entries FROM threads t JOIN entries e ON e.thread_id = t.id GROUP BY 1, 2 ORDER BY 1`,
  )
const clear = () => db.rows('DELETE FROM threads').then(() => db.rows('DELETE FROM raw_items'))

describe('threads', () => {
  const whole = [
    { thread: 'comment/other', title: 'Calm seas', entries: 'other' },
    { thread: 'comment/top', title: 'Calm seas', entries: 'answer,deep,top' },
    { thread: 'post/post', title: null, entries: 'post' },
  ]

  test('each comment under a post is one, with what answers it', async () => {
    await clear()
    expect(await ingest(parts, profile, [post, top, answer, deep, other])).toMatchObject({
      added: 5,
      changed: 0,
    })
    expect(await shape()).toEqual(whole)
  })

  test('come out the same in whatever order and pages the items come, and however often', async () => {
    const order = fc.shuffledSubarray([top, answer, deep, other], { minLength: 4, maxLength: 4 })
    await fc.assert(
      fc.asyncProperty(order, fc.integer({ min: 1, max: 4 }), async (items, size) => {
        await clear()
        // The post is ours and older than all of them; what answers it may come in any order.
        await ingest(parts, profile, [post])
        for (let i = 0; i < items.length; i += size) await ingest(parts, profile, items.slice(i, i + size))
        for (let i = 0; i < items.length; i += size)
          expect((await ingest(parts, profile, items.slice(i, i + size))).added).toBe(0)
        expect(await shape()).toEqual(whole)
      }),
      { numRuns: 24 },
    )
  })

  test('that turn out to be one keep their tags, and whom one of them was given to', async () => {
    await clear()
    await db.rows(`INSERT INTO colleagues (id, email, name, password_hash) VALUES (7, 'c', 'c', '')`)
    await db.rows(
      `INSERT INTO tags (id, brand_id, name) OVERRIDING SYSTEM VALUE VALUES (1, 1, 'ramp'), (2, 1, 'galley')`,
    )
    // What answers a comment came before it, and was worked on by itself.
    await ingest(parts, profile, [post, deep])
    await db.rows(
      `INSERT INTO thread_tags (thread_id, tag_id) SELECT t.id, n FROM threads t CROSS JOIN generate_series(1, 2) n JOIN entries e ON e.thread_id = t.id WHERE e.outside_id = 'deep'`,
    )
    await db.rows(
      `UPDATE threads SET given_to = 7 WHERE id = (SELECT thread_id FROM entries WHERE outside_id = 'deep')`,
    )
    await ingest(parts, profile, [top])
    await db.rows(
      `INSERT INTO thread_tags (thread_id, tag_id) SELECT thread_id, 1 FROM entries WHERE outside_id = 'top'`,
    )
    await ingest(parts, profile, [answer])
    const held = await db.rows<{ givenTo: number; tags: number[] }>(
      `SELECT t.given_to AS "givenTo", array_agg(g.tag_id ORDER BY g.tag_id) AS tags FROM threads t JOIN thread_tags g ON g.thread_id = t.id GROUP BY 1`,
    )
    expect(held).toEqual([{ givenTo: 7, tags: [1, 2] }])
  })

  test('a conversation is one, whoever writes', async () => {
    await clear()
    const message = (id: string, direction: 'in' | 'out') =>
      item(id, { threadId: 'conversation/1', kind: 'message', private: true, direction })
    await ingest(parts, profile, [message('m1', 'in'), message('m2', 'out')])
    await ingest(parts, profile, [message('m3', 'in')])
    expect(await shape()).toEqual([{ thread: 'conversation/1', title: null, entries: 'm1,m2,m3' }])
  })
})

describe('entries', () => {
  test('an item that stands twice on a page is kept once, the later one', async () => {
    await clear()
    await ingest(parts, profile, [item('x', { text: 'first' }), item('x', { text: 'second' })])
    expect(await db.rows('SELECT text FROM entries')).toEqual([{ text: 'second' }])
  })
  test('an edited text is read again, an equal one is not', async () => {
    await db.rows('UPDATE entries SET analysed_at = now()')
    expect(await ingest(parts, profile, [item('x', { text: 'second' })])).toMatchObject({
      added: 0,
      changed: 0,
    })
    expect(await ingest(parts, profile, [item('x', { text: 'third' })])).toMatchObject({
      added: 0,
      changed: 1,
    })
    expect(await db.rows('SELECT text, analysed_at AS read FROM entries')).toEqual([
      { text: 'third', read: null },
    ])
  })
  test('a NUL, a text without end and an odd rating do no harm', async () => {
    await clear()
    await ingest(parts, profile, [
      item('nul', { text: 'a\u0000b' }),
      item('long', { text: 'x'.repeat(200_000) }),
      item('half', { rating: 4.5, kind: 'review' }),
    ])
    const rows = await db.rows<{ id: string; size: number; rating: number | null }>(
      'SELECT outside_id AS id, length(text) AS size, rating FROM entries ORDER BY 1',
    )
    expect(rows).toEqual([
      { id: 'half', size: 12, rating: 4.5 },
      { id: 'long', size: 100_000, rating: null },
      { id: 'nul', size: 2, rating: null },
    ])
  })
  test('what must be true together with them is undone with them', async () => {
    await clear()
    await expect(
      ingest(parts, profile, [item('y')], async () => {
        throw new Error('the cursor could not be kept')
      }),
    ).rejects.toThrow('cursor')
    expect(await db.rows('SELECT count(*) AS n FROM entries')).toEqual([{ n: 0 }])
  })
  test('two pages of one profile at once are stored one after the other', async () => {
    await clear()
    await Promise.all([1, 2, 3, 4].map(() => ingest(parts, profile, [post, top, answer])))
    expect(await db.rows('SELECT count(*) AS n FROM entries')).toEqual([{ n: 3 }])
  })
})

describe('our own reply that comes back', () => {
  const key = '7b1d7a1e-3a55-4ad7-9d0b-6c0a1b1f0001'
  test.each([
    ['waiting', false],
    ['sending', false],
    ['failed', true],
    ['cancelled', true],
  ])('stands, although it was %s here', async (state, withdrawn) => {
    await clear()
    await ingest(parts, profile, [post, top])
    const thread = await db.one<{ id: number }>(`SELECT id FROM threads WHERE outside_id = 'comment/top'`)
    const own = await db.one<{ id: number }>(
      `INSERT INTO entries (brand_id, profile_id, thread_id, direction, kind, channel, text, at, withdrawn) VALUES (1, 1, $1, 'out', 'comment', 'pages', 'Sorry', now(), $2) RETURNING id`,
      [thread!.id, withdrawn],
    )
    await db.rows(
      `INSERT INTO outside_actions (brand_id, profile_id, thread_id, entry_id, kind, key, target, payload, cause, state) VALUES (1, 1, $1, $2, 'reply', $3, '{}', '{"text":"Sorry"}', 'colleague', $4)`,
      [thread!.id, own!.id, key, state],
    )
    const reply = item('reply', {
      parentId: 'top',
      direction: 'out',
      text: 'Sorry',
      replyKey: key.toUpperCase(),
    })
    await ingest(parts, profile, [reply])
    await ingest(parts, profile, [reply])
    expect(
      await db.rows(
        `SELECT outside_id AS id, withdrawn FROM entries WHERE direction = 'out' AND text = 'Sorry'`,
      ),
    ).toEqual([{ id: 'reply', withdrawn: false }])
    expect(await db.rows('SELECT state, uncertain FROM outside_actions')).toEqual([
      { state: 'sent', uncertain: false },
    ])
  })
})

describe('ids that a network gives twice, or changes', () => {
  const url = 'https://n.example/said/1'
  const mine = item('one', { text: 'The ramp was stuck for an hour', url })
  const entries = () =>
    db.rows<{ id: string; text: string; profile: number }>(
      `SELECT e.outside_id AS id, e.text, e.profile_id AS profile FROM entries e ORDER BY e.outside_id`,
    )
  const apart = () =>
    db.rows<{ id: string; reason: string }>('SELECT outside_id AS id, reason FROM items_apart ORDER BY id')
  const theirs = item('one', {
    author: { outsideId: 'b', name: 'Odile' },
    text: 'Lovely coffee on board this morning',
    raw: { id: 'one', by: 'b' },
  })

  test('what somebody else says under a known id is set apart, and nothing that is there changes', async () => {
    await clear()
    await db.rows('DELETE FROM items_apart')
    await ingest(parts, profile, [mine])
    expect(await ingest(parts, profile, [mine, theirs])).toEqual({ added: 0, changed: 0, apart: 1 })
    expect(await ingest(parts, profile, [theirs, mine])).toEqual({ added: 0, changed: 0, apart: 1 })
    expect(await entries()).toMatchObject([{ id: 'one', text: mine.text }])
    expect(await db.rows('SELECT id FROM entry_edits')).toEqual([])
    expect(await db.rows('SELECT payload FROM raw_items')).toEqual([{ payload: { id: 'one' } }])
    expect(await apart()).toMatchObject([{ reason: expect.stringContaining('somebody else said (one)') }])
  })
  test('in one page, the first to be told keeps the id', async () => {
    await clear()
    await db.rows('DELETE FROM items_apart')
    expect(await ingest(parts, profile, [mine, theirs])).toEqual({ added: 0, changed: 0, apart: 1 })
    expect(await entries()).toMatchObject([{ id: 'one', text: mine.text }])
  })
  test.each([
    ['is renamed', { author: { outsideId: 'a-one', name: 'Runa' }, text: 'Lovely coffee, I say now' }],
    ['has another id', { author: { outsideId: 'new', name: 'Author of one' }, text: 'Lovely coffee, I say' }],
    ['mends a slip', { author: { outsideId: 'b', name: 'B' }, text: 'The ramp was stuck for two hours' }],
  ])('who %s changes what they said', async (_, more) => {
    await clear()
    await ingest(parts, profile, [mine])
    expect(await ingest(parts, profile, [item('one', more)])).toEqual({ added: 0, changed: 1, apart: 0 })
    expect(await entries()).toMatchObject([{ id: 'one', text: more.text }])
  })

  test('what is told again under another id, at the same address and instant, is the same entry', async () => {
    await clear()
    await ingest(parts, profile, [mine])
    const renamed = item('uno', { ...mine, outsideId: 'uno', threadId: 'comment/uno' })
    expect(await ingest(parts, profile, [renamed])).toEqual({ added: 0, changed: 0, apart: 0 })
    expect(await ingest(parts, profile, [item('reply', { parentId: 'uno' })])).toMatchObject({ added: 1 })
    expect(await shape()).toEqual([{ thread: 'comment/uno', title: null, entries: 'reply,uno' }])
  })
  test.each([
    ['somebody else', { author: { outsideId: 'b', name: 'Odile' } }],
    ['another instant', { at: mine.at + 1000 }],
    ['another address', { url: `${url}0` }],
  ])('%s: two entries', async (_, more) => {
    await clear()
    await ingest(parts, profile, [mine])
    const other = { ...mine, outsideId: 'uno', threadId: 'comment/uno', ...more }
    expect(await ingest(parts, profile, [other])).toMatchObject({ added: 1 })
  })
  test('an id that the page names beside the other is another entry', async () => {
    await clear()
    await ingest(parts, profile, [mine])
    const other = { ...mine, outsideId: 'uno', threadId: 'comment/uno' }
    expect(await ingest(parts, profile, [mine, other])).toMatchObject({ added: 1 })
  })

  test('what a search heard and an account collected at one address is one entry, whoever is first', async () => {
    await db.rows(
      `INSERT INTO profiles (id, brand_id, channel, network, outside_id, name, status, hook_token)
       VALUES (2, 1, 'open', 'n', 'search', 'n', 'connected', 'h2')`,
    )
    const search: IngestProfile = { ...profile, id: 2, channel: 'open', outsideId: 'search' }
    const heard = { ...mine, outsideId: 'https://n.example/objects/1', threadId: 'comment/heard' }
    for (const order of [
      [search, profile],
      [profile, search],
    ]) {
      await clear()
      for (const each of order) await ingest(parts, each, [each === search ? heard : mine])
      expect(await entries()).toMatchObject([{ id: 'one', profile: 1 }])
      await ingest(parts, search, [heard])
      expect(await entries()).toHaveLength(1)
    }
  })
})
