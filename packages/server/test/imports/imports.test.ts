import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { EntryPage, ImportState, Problem } from '@murrabel/contract'
import { orderOf, readDate } from '../../src/files/readDate.ts'
import { readTable } from '../../src/files/readTable.ts'
import { previewReviews, readReviews } from '../../src/files/readReviews.ts'
import { csvOf, safeCell } from '../../src/services/entries/export.ts'
import { seedStandins } from '../support/seed.ts'
import { until } from '../support/until.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

const options = {
  zone: 'Europe/London',
  places: ['Port Ellery', 'Dunmarrow'],
  now: Date.parse('2026-11-25T12:00:00Z'),
  dateOrder: null,
}
const none = {
  text: null,
  rating: null,
  at: null,
  author: null,
  title: null,
  place: null,
  outsideId: null,
  url: null,
}

describe('a table of reviews', () => {
  test.each([
    [',', 'Date,Text\n2026-11-01,"a, b"\n'],
    [';', 'Date;Text\n1.11.2026;a, b\n2.11.2026;c, d\n'],
    ['\t', 'Date\tText\n2026-11-01\ta, b\n'],
    ['|', 'Date|Text\n2026-11-01|x\n'],
  ])('divided by %j is known by itself', (separator, csv) => expect(readTable(csv).separator).toBe(separator))

  test('a byte-order mark is no part of the first heading', () =>
    expect(readTable('\ufeffDate,Text\n1,2\n').header).toEqual(['Date', 'Text']))

  test('columns are guessed by their headings', () => {
    expect(
      previewReviews('Datum,Date,Stars,Review,Customer,Harbour\n,2026-11-01,5,ok,Hanne,Dunmarrow\n').mapping,
    ).toMatchObject({ at: 'Date', rating: 'Stars', text: 'Review', author: 'Customer', place: 'Harbour' })
  })

  test('bad rows are told by line and reason, good ones are read', () => {
    const csv =
      'Date,Stars,Review,Harbour\n2026-11-01,5,"two\nlines",Dunmarrow\n2026-11-02,7,too many stars,Dunmarrow\n\nyesterday,3,no date,Dunmarrow\n2026-11-03,,,Dunmarrow\n2026-11-04,4,fine,Atlantis\n2030-01-01,4,future,Dunmarrow\n2026-11-05,"4,5",comma,\n2026-11-06,3\n'
    const { items, problems } = readReviews(csv, {
      ...options,
      mapping: { ...none, at: 'Date', rating: 'Stars', text: 'Review', place: 'Harbour' },
    })
    expect(items.map((i) => [i.text, i.rating, i.place])).toEqual([
      ['two\nlines', 5, 'Dunmarrow'],
      ['comma', 4.5, null],
    ])
    expect(problems.map((p) => [p.line, p.field])).toEqual([
      [4, 'rating'],
      [6, 'at'],
      [7, 'text'],
      [8, 'place'],
      [9, 'at'],
      [11, ''],
    ])
  })

  test('the same row has the same id', () => {
    const read = () =>
      readReviews('Date,Review\n2026-11-01,x\n', {
        ...options,
        mapping: { ...none, at: 'Date', text: 'Review' },
      }).items[0]!.outsideId
    expect(read()).toBe(read())
  })

  test.each([
    ['2026-11-25', '2026-11-25T00:00:00.000Z'],
    ['2026-07-01', '2026-06-30T23:00:00.000Z'],
    ['2026-11-25 14:30', '2026-11-25T14:30:00.000Z'],
    ['2026-11-25T14:30:00+02:00', '2026-11-25T12:30:00.000Z'],
    ['3.11.2026', '2026-11-03T00:00:00.000Z'],
    ['03/11/2026 9:05', '2026-11-03T09:05:00.000Z'],
    ['3 Nov 2026', '2026-11-03T00:00:00.000Z'],
    ['soon', null],
    ['12:30', null],
    ['2026', null],
    ['2026-02-31', null],
    ['0001-01-01', null],
    ['1700000000', null],
    ['2026-W01-1', null],
    ['31/12/2025', '2025-12-31T00:00:00.000Z'],
    ['Nov 3, 2026', '2026-11-03T00:00:00.000Z'],
  ])('the date %s', (text, expected) => {
    const at = readDate(text, 'Europe/London')
    expect(at === null ? null : new Date(at).toISOString()).toBe(expected)
  })
})

test.each([
  ['03/04/2026', 'either'],
  ['25/04/2026', 'dayFirst'],
  ['04/25/2026', 'monthFirst'],
  ['05/05/2026', null],
  ['2026-04-03', null],
])('%s says %s of day and month', (text, order) => expect(orderOf(text)).toBe(order))

test('a stray quotation mark tells which rows it has taken into a text', () => {
  const csv =
    'Date,Author,Stars,Text\n2026-01-01,A,5,"so ""kind""\nand calm"\n2026-01-02,B,4,"opened here\n2026-01-03,C,3,gone\n2026-01-04,D,2,gone\n2026-01-05,E,1,"and closed"\n2026-01-06,F,5,fine\n'
  const { items, problems } = readReviews(csv, {
    ...options,
    mapping: { ...none, at: 'Date', author: 'Author', rating: 'Stars', text: 'Text' },
  })
  expect(items.map(({ author }) => author.name)).toEqual(['A', 'F'])
  expect(problems).toMatchObject([{ line: 4, reason: 'rowSwallowed', values: { to: 7 } }])
})

test.each([
  ['=1+1', "'=1+1"],
  ['@x', "'@x"],
  ['\t=1', "'\t=1"],
  ['\r=1', "'=1"],
  ['\uff1d1+1', "'\uff1d1+1"],
  ['ok;=1+1', "ok;'=1+1"],
  ['ok\t+cmd', "ok\t'+cmd"],
  ['-5', '-5'],
  ['+4,5', '+4,5'],
  ['kind, but - well - slow; never mind', 'kind, but - well - slow; never mind'],
])('the cell %j goes out as %j', (cell, safe) => expect(safeCell(cell)).toBe(safe))

test('an export is safe against formulas', () => {
  const row = {
    id: 1,
    at: '2026-11-25T00:00:00Z',
    channel: 'pages',
    author: '=cmd()',
    text: '+1 "quoted"\nline',
    title: '-x',
  } as never
  expect(csvOf([], { header: true })).toMatch(/^id,at,[\w,]+\r\n$/)
  expect(csvOf([], { header: false })).toBe('')
  expect(csvOf([row], { header: false })).toBe(
    `1,2026-11-25T00:00:00.000Z,pages,,,,'=cmd(),,,,'-x,"'+1 ""quoted""\nline",\r\n`,
  )
})

describe('over HTTP', () => {
  let world: TestWorld
  let call: Caller
  beforeAll(async () => {
    world = await startTestWorld()
    seedStandins(world)
    call = await world.signIn('tamsin')
  })
  afterAll(() => world.stop())

  const csv =
    'Date;Author;Stars;Review;Place\n3.11.2026;Hanne Lund;5;Kind crew;Dunmarrow\n4.11.2026;Piet Vos;7;Too slow;Dunmarrow\n5.11.2026;Nora Feld;2;Cold soup;Port Ellery\n'
  const mapping = { ...none, at: 'Date', author: 'Author', rating: 'Stars', text: 'Review', place: 'Place' }

  const draft = (kind: string, name: string, document: string) =>
    call<ImportState & Problem>(
      'POST',
      `/api/imports?kind=${kind}&name=${encodeURIComponent(name)}`,
      document,
    )
  /** Begins, and waits for what becomes of it. */
  async function run(id: number, body: object): Promise<ImportState> {
    const begun = await call<ImportState>('POST', `/api/imports/${id}/start`, body)
    expect(begun.status).toBe(200)
    return until(async () => {
      const { body: state } = await call<ImportState>('GET', `/api/imports/${id}`)
      return state.state !== 'running' && state
    })
  }
  async function bringIn(kind: string, name: string, document: string, body: object): Promise<ImportState> {
    return run((await draft(kind, name, document)).body.id, body)
  }

  test('with a bad row nothing is taken until that is said; the same file again adds nothing', async () => {
    const { body } = await draft('reviews', 'old.csv', csv)
    expect(body).toMatchObject({ state: 'draft', reviews: { rows: 3 } })
    const sentBack = await run(body.id, { mapping })
    expect(sentBack).toMatchObject({
      state: 'draft',
      added: 0,
      refused: 1,
      problems: [{ line: 3, field: 'rating', value: '7' }],
      asked: { mapping },
    })
    expect((await call<EntryPage>('GET', '/api/entries?unit=entries&channel=import')).body.rows).toEqual([])
    expect(await run(body.id, { mapping, anyway: true })).toMatchObject({
      state: 'done',
      added: 2,
      known: 0,
      refused: 1,
    })
    expect(await bringIn('reviews', 'old.csv', csv, { mapping, anyway: true })).toMatchObject({
      added: 0,
      known: 2,
      refused: 1,
    })
    await settled(world)
    const { rows } = (await call<EntryPage>('GET', '/api/entries?unit=entries&channel=import')).body
    expect(rows.map((r) => [r.author, r.placeId, r.sentiment])).toEqual([
      ['Nora Feld', 1, 'negative'],
      ['Hanne Lund', 2, 'positive'],
    ])
  })

  test('equal ratings without author or date are reviews of their own, and the same file again adds none', async () => {
    const stars = `Stars,Note\n${'5,\n'.repeat(100)}`
    const bare = { mapping: { ...none, rating: 'Stars' } }
    expect(await bringIn('reviews', 'stars.csv', stars, bare)).toMatchObject({
      added: 100,
      known: 0,
      refused: 0,
    })
    expect(await bringIn('reviews', 'stars.csv', stars, bare)).toMatchObject({ added: 0, known: 100 })
    await call('DELETE', `/api/imports/999`)
  })

  test.each([
    ['300 columns', Array.from({ length: 300 }, (_, i) => `c${i}`).join(',') + '\n1\n'],
    ['one column', 'just words\nmore words\n'],
    ['no rows', 'Date,Text\n'],
    ['nothing but line ends', '\n'.repeat(100_000)],
    ['a quotation mark without its end', 'Date,Text\n2026-01-01,"open\n2026-01-02,more\n'],
  ])('a table with %s is refused', async (_, bad) => {
    const { status, body } = await draft('reviews', 'x', bad)
    expect(status).toBe(422)
    expect(body.fields?.[0]?.field).toBe('document')
  })

  test('an unknown column is named', async () => {
    const { body } = await draft('reviews', 'x', csv)
    const refused = await call<Problem>('POST', `/api/imports/${body.id}/start`, {
      mapping: { ...mapping, text: 'Words' },
    })
    expect(refused.body.fields?.[0]).toMatchObject({
      field: 'mapping.text',
      message: 'The table has no column "Words".',
      values: { name: 'Words' },
    })
    expect((await call('DELETE', `/api/imports/${body.id}`)).status).toBe(204)
    expect((await call('GET', `/api/imports/${body.id}`)).status).toBe(404)
  })

  test('dates that can be read in two ways are asked about; one that cannot answers for the column', async () => {
    const table = (dates: string[]) =>
      `Date,Text\n${dates.map((date) => `${date},x of ${date}`).join('\n')}\n`
    const ask = { mapping: { ...none, at: 'Date', text: 'Text' } }
    const open = (await draft('reviews', 'dates.csv', table(['03/04/2026', '01/02/2026']))).body
    expect(open.reviews?.dates).toMatchObject({ ambiguous: 2, order: null })
    expect(await run(open.id, ask)).toMatchObject({
      state: 'draft',
      added: 0,
      error: expect.stringContaining('two ways'),
    })
    expect(await run(open.id, { ...ask, dateOrder: 'monthFirst' })).toMatchObject({ state: 'done', added: 2 })
    const { rows } = (
      await call<EntryPage>('GET', '/api/entries?unit=entries&channel=import&time=2026-03-04_2026-03-04')
    ).body
    expect(rows.map(({ text }) => text)).toEqual(['x of 03/04/2026'])
    const told = (await draft('reviews', 'told.csv', table(['03/04/2026', '25/04/2026']))).body
    expect(told.reviews?.dates).toMatchObject({ ambiguous: 1, order: 'dayFirst' })
    expect(await run(told.id, ask)).toMatchObject({ state: 'done', added: 2 })
  })

  test('a feed file comes in once', async () => {
    const document = await (await fetch(`${world.press.address}/gazette/feed`)).text()
    const { body } = await draft('feed', 'gazette.xml', document)
    expect(body.feed).toMatchObject({
      format: 'atom',
      title: 'Orrin Gazette',
      entries: 1,
      undated: 0,
      sample: [{ title: 'Skerrivane in D' }],
    })
    expect(await run(body.id, {})).toMatchObject({ state: 'done', added: 1, known: 0 })
    expect(await bringIn('feed', 'gazette.xml', document, {})).toMatchObject({ added: 0, known: 1 })
    for (const broken of ['<html/>', 'no feed'])
      expect((await draft('feed', 'x', broken)).body).toMatchObject({
        code: 'feedUnreadable',
        fields: [{ field: 'document' }],
      })
  })

  test.each([
    ['http://10.0.0.1/feed', 'feedAddress'],
    ['http://localhost:1/feed', 'feedAddress'],
    ['ftp://x.example/feed', 'feedAddress'],
  ])('the feed address %s is refused', async (address, code) => {
    const owner = await world.signIn('wynn')
    const { status, body } = await owner<Problem>('POST', '/api/profiles/feeds', { address })
    expect([status, body.code, body.fields?.[0]?.field]).toEqual([422, code, 'address'])
  })

  test('a page that is no feed is refused', async () => {
    const owner = await world.signIn('wynn')
    expect(
      (await owner<Problem>('POST', '/api/profiles/feeds', { address: `${world.press.address}/articles/a1` }))
        .body.code,
    ).toBe('feedUnreadable')
  })

  test('the lens goes out as CSV and as JSON Feed, with the rows of its list', async () => {
    const csvText = (await call<string>('GET', '/api/entries/export.csv?unit=entries&channel=import')).body
    expect(csvText.split('\r\n').filter(Boolean)).toHaveLength(107)
    const feed = (
      await call<{ version: string; items: { content_text: string }[] }>(
        'GET',
        '/api/entries/export.json?unit=entries&channel=import&time=2026-11-01_2026-11-30&words=c',
      )
    ).body
    expect(feed.version).toBe('https://jsonfeed.org/version/1.1')
    expect(feed.items.map((i) => i.content_text)).toEqual(['Cold soup', 'Kind crew'])
  })
})
