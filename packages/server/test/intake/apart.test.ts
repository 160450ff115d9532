import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from 'vitest'
import type { EntryPage, ItemApart, ProfileAnswer } from '@murrabel/contract'
import { hostileDates, hostileNumbers, hostileTexts } from '../../../core/test/support/hostile.ts'
import type { CollectedItem } from '../../src/connectors/index.ts'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { until } from '../support/until.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

let world: TestWorld
let owner: Caller
let profile: IngestProfile

beforeAll(async () => {
  world = await startTestWorld()
  const page = { id: 'skerrivane', name: 'Skerrivane Ferries', handle: 'skerrivane' }
  world.lanternpage.state.add({ op: 'page', id: page.id, name: page.name })
  owner = await world.signIn('wynn')
  await world.connect(owner, 'lanternpage')
  await settled(world)
  profile = (await world.server.context.db.one<IngestProfile>(
    `SELECT id, brand_id AS "brandId", place_id AS "placeId", channel, network FROM profiles WHERE network = 'lanternpage'`,
  ))!
})
afterAll(() => world.stop())

const message = (id: string, content: string, more: object = {}) =>
  world.lanternpage.state.add({
    op: 'note',
    id,
    page: 'skerrivane',
    author: { id: `p-${id}`, name: `Person ${id}`, handle: id },
    content,
    published: new Date().toISOString(),
    conversation: `c-${id}`,
    ...more,
  })
const collect = async () =>
  expect((await owner('POST', `/api/profiles/${profile.id}/collect`)).status).toBe(204)
const profileNow = async () =>
  (await owner<ProfileAnswer[]>('GET', '/api/profiles')).body.find(({ id }) => id === profile.id)!
/** Everything was read, and nothing waits. */
const read = () => settled(world)
const textsOf = async (words: string) =>
  (await owner<EntryPage>('GET', `/api/entries?unit=entries&words=${words}`)).body.rows.map(
    ({ text }) => text,
  )

const item = (outsideId: string, more: Partial<CollectedItem> = {}): CollectedItem => ({
  outsideId,
  threadId: `conversation/${outsideId}`,
  kind: 'message',
  direction: 'in',
  author: { outsideId: `a-${outsideId}`, name: 'Odile Marchetaux' },
  text: 'Is the boat running?',
  at: Date.now(),
  raw: { id: outsideId },
  ...more,
})

describe('one entry never stops the others', () => {
  test('texts that once stopped everything come in between ordinary ones, and all of them are read', async () => {
    const odd = hostileTexts(5_000)
    odd.forEach(({ text }, i) => {
      message(`before${i}`, `Ordinary message nightjar ${i}`)
      message(`odd${i}`, text || '.', { author: { id: `o${i}`, name: text || 'x', handle: text } })
    })
    message('last', 'The very last one, nightjar')
    await collect()
    await until(async () => (await textsOf('nightjar%20last')).length === 1, { seconds: 60 })
    await read()
    const { db } = world.server.context
    expect(await db.one('SELECT count(*) AS n FROM entries WHERE analysed_at IS NULL')).toEqual({ n: 0 })
    expect(
      (await db.one<{ n: number }>(`SELECT count(*) AS n FROM entries WHERE outside_id LIKE 'before%'`))!.n,
    ).toBe(odd.length)
    expect(
      (await db.one<{ n: number }>(`SELECT count(*) AS n FROM entries WHERE outside_id LIKE 'odd%'`))!.n,
    ).toBe(odd.length)
    expect(await profileNow()).toMatchObject({ status: 'connected', error: null, apart: 0 })
  })

  test('every field of an item takes every odd value', async () => {
    const { context } = world.server
    const texts = hostileTexts(3_000).map(({ text }) => text)
    const fields: ((text: string, i: number) => CollectedItem)[] = [
      (text, i) => item(`t${i}`, { title: text }),
      (text, i) => item(`tt${i}`, { threadTitle: text }),
      (text, i) => item(`n${i}`, { author: { outsideId: `n${i}`, name: text, handle: text, url: text } }),
      (text, i) => item(`ai${i}`, { author: { outsideId: text, name: 'x' } }),
      (text, i) => item(`u${i}`, { url: text }),
      (text, i) => item(`r${i}`, { raw: { [text]: text, deep: [[text]] } }),
      (text, i) => item(`k${i}`, { replyKey: text, direction: 'out' }),
      (text) => item(text || 'empty', {}),
      (text, i) => item(`th${i}`, { threadId: text || 'x' }),
      (text, i) => item(`pa${i}`, { parentId: text }),
      (text, i) => item(`pi${i}`, { text, piece: { whole: text, number: 1, of: 1 } }),
      (text, i) => item(`pj${i}`, { text, piece: { whole: text, number: 1, of: 3 } }),
    ]
    for (const of of fields) await ingest(context, profile, texts.map(of))
    const dates = hostileDates.flatMap((date) => [Date.parse(date), Number(date)])
    await ingest(
      context,
      profile,
      dates.map((at, i) => item(`d${i}`, { at })),
    )
    const numbers = hostileNumbers.map(Number)
    await ingest(
      context,
      profile,
      numbers.flatMap((n, i) => [
        item(`re${i}`, { reach: n }),
        item(`ra${i}`, { rating: n, kind: 'review' }),
        item(`nu${i}`, { piece: { whole: `w${i}`, number: n, of: n } }),
      ]),
    )
    await read()
    const { db } = context
    expect(
      await db.rows(
        `SELECT id FROM entries WHERE at < '1990-01-01' OR at > now() + interval '25 hours' OR NOT rating BETWEEN 1 AND 5 OR url NOT LIKE 'http%'`,
      ),
    ).toEqual([])
    for (const path of [
      'entries?unit=entries',
      'tide?unit=entries',
      'watches/figures?unit=entries&time=all',
      'watches/spikes?unit=entries&time=all',
      'entries/export.csv?unit=entries',
    ])
      expect([path, (await owner('GET', `/api/${path}`)).status]).toEqual([path, 200])
  })

  test('an entry without a date that can be counts from when it came in, and says so', async () => {
    const { context } = world.server
    await ingest(context, profile, [
      item('undated', { at: Date.parse('0001-01-01'), text: 'undated lapwing' }),
    ])
    await read()
    const row = await context.db.one<{ undated: boolean; age: number }>(
      `SELECT undated, extract(epoch FROM now() - at) AS age FROM entries WHERE outside_id = 'undated'`,
    )
    expect(row!.undated).toBe(true)
    expect(Number(row!.age)).toBeLessThan(60)
  })
})

describe('what cannot be stored, read or analysed', () => {
  beforeEach(() => world.server.context.db.rows('DELETE FROM items_apart'))
  afterEach(() => world.server.context.db.rows('DROP TRIGGER IF EXISTS culprit ON entries'))
  /** Refuses entries of a text, as a rule of the database would that nobody thought of. */
  const refuse = async (moment: 'INSERT' | 'UPDATE OF search') => {
    const { db } = world.server.context
    await db.sequelize.query(`CREATE OR REPLACE FUNCTION culprit() RETURNS trigger LANGUAGE plpgsql AS $$
      BEGIN IF NEW.text LIKE '%culprit%' AND (TG_OP = 'INSERT' OR NEW.search <> ''::tsvector) THEN RAISE EXCEPTION 'nobody expected this' USING ERRCODE = '22000'; END IF; RETURN NEW; END $$`)
    await db.rows(
      `CREATE TRIGGER culprit BEFORE ${moment} ON entries FOR EACH ROW EXECUTE FUNCTION culprit()`,
    )
  }

  test('is halved out of its page and set apart with its reason; tried again, it comes in', async () => {
    await refuse('INSERT')
    for (let i = 0; i < 30; i++) message(`page${i}`, i === 17 ? 'the culprit dunlin' : `dunlin ${i}`)
    await collect()
    await until(async () => (await textsOf('dunlin')).length === 29, { seconds: 60 })
    expect((await profileNow()).apart).toBe(1)
    const { body: apart } = await owner<ItemApart[]>('GET', `/api/profiles/${profile.id}/apart`)
    expect(apart).toMatchObject([
      { stage: 'store', reason: 'nobody expected this', text: 'the culprit dunlin' },
    ])
    expect(await profileNow()).toMatchObject({ status: 'connected' })
    expect((await owner('POST', `/api/profiles/${profile.id}/apart/retry`)).body).toEqual({
      read: 0,
      apart: 1,
    })
    await world.server.context.db.rows('DROP TRIGGER culprit ON entries')
    expect((await owner('POST', `/api/profiles/${profile.id}/apart/retry`)).body).toEqual({
      read: 1,
      apart: 0,
    })
    await read()
    expect(await textsOf('dunlin')).toHaveLength(30)
  })

  test('is left unread when only its analysis fails; the rest of its batch is read', async () => {
    await refuse('UPDATE OF search')
    for (let i = 0; i < 30; i++) message(`batch${i}`, i === 3 ? 'the culprit whimbrel' : `whimbrel ${i}`)
    await collect()
    await until(async () => (await textsOf('whimbrel')).length === 29, { seconds: 60 })
    expect((await profileNow()).apart).toBe(1)
    const { body: apart } = await owner<ItemApart[]>('GET', `/api/profiles/${profile.id}/apart`)
    expect(apart).toMatchObject([{ stage: 'analyse', text: 'the culprit whimbrel' }])
    expect((await owner('GET', `/api/threads/${apart[0]!.threadId}`)).status).toBe(200)
    await world.server.context.db.rows('DROP TRIGGER culprit ON entries')
    await owner('POST', `/api/profiles/${profile.id}/apart/retry`)
    await until(async () => (await textsOf('whimbrel')).length === 30)
    expect((await profileNow()).apart).toBe(0)
  })
})

describe('a changed', () => {
  test.each([
    ['rating', { rating: 2 }, { rating: 2 }],
    ['title', { title: 'Another title' }, { title: 'Another title' }],
    ['text', { text: 'Another text' }, { text: 'Another text' }],
  ])('%s counts as a change, what stays the same does not', async (name, more, expected) => {
    const { context } = world.server
    const first = item(`changed-${name}`, { kind: 'review', rating: 5, title: 'A title' })
    await ingest(context, profile, [first])
    await read()
    expect(await ingest(context, profile, [first])).toMatchObject({ added: 0, changed: 0 })
    expect(await ingest(context, profile, [{ ...first, ...more }])).toMatchObject({ added: 0, changed: 1 })
    expect(
      await context.db.one(`SELECT rating, title, text FROM entries WHERE outside_id = $1`, [
        `changed-${name}`,
      ]),
    ).toMatchObject(expected)
    await read()
  })
})
