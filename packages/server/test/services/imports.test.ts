import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import type { EntryPage, FeedPreview, ImportAnswer, ImportPreview, Problem } from '@murrabel/contract'
import { previewTable, readDate, readReviews, readTable } from '../../src/services/imports/reviewsCsv.ts'
import { csvOf } from '../../src/services/entries/export.ts'
import { seedStandins } from '../support/seed.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

const options = {
  zone: 'Europe/London',
  places: ['Port Ellery', 'Dunmarrow'],
  now: Date.parse('2026-11-25T12:00:00Z'),
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
      previewTable('Datum,Date,Stars,Review,Customer,Harbour\n,2026-11-01,5,ok,Hanne,Dunmarrow\n').mapping,
    ).toMatchObject({ at: 'Date', rating: 'Stars', text: 'Review', author: 'Customer', place: 'Harbour' })
  })

  test('bad rows are told by line and reason, good ones are read', () => {
    const csv =
      'Date,Stars,Review,Harbour\n2026-11-01,5,"two\nlines",Dunmarrow\n2026-11-02,7,too many stars,Dunmarrow\n\nyesterday,3,no date,Dunmarrow\n2026-11-03,,,Dunmarrow\n2026-11-04,4,fine,Atlantis\n2030-01-01,4,future,Dunmarrow\n2026-11-05,"4,5",comma,\n2026-11-06,3\n'
    const { items, problems } = readReviews(
      csv,
      { ...none, at: 'Date', rating: 'Stars', text: 'Review', place: 'Harbour' },
      options,
    )
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
      readReviews('Date,Review\n2026-11-01,x\n', { ...none, at: 'Date', text: 'Review' }, options).items[0]!
        .outsideId
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
  ])('the date %s', (text, expected) => {
    const at = readDate(text, 'Europe/London')
    expect(at === null ? null : new Date(at).toISOString()).toBe(expected)
  })
})

test('an export is safe against formulas', () => {
  const row = {
    id: 1,
    at: '2026-11-25T00:00:00Z',
    channel: 'pages',
    author: '=cmd()',
    text: '+1 "quoted"\nline',
    title: '-x',
  } as never
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

  test('good rows are kept, bad ones told, and the same file again adds nothing', async () => {
    expect((await call<ImportPreview>('POST', '/api/imports/reviews/preview', { csv })).body.rows).toBe(3)
    const first = (
      await call<ImportAnswer>('POST', '/api/imports/reviews', { name: 'old.csv', csv, mapping })
    ).body
    expect(first).toMatchObject({
      added: 2,
      known: 0,
      refused: 1,
      problems: [{ line: 3, field: 'rating', value: '7' }],
    })
    expect(
      (await call<ImportAnswer>('POST', '/api/imports/reviews', { name: 'old.csv', csv, mapping })).body,
    ).toMatchObject({ added: 0, known: 2, refused: 1 })
    await settled(world)
    const { rows } = (await call<EntryPage>('GET', '/api/entries?unit=entries&channel=import')).body
    expect(rows.map((r) => [r.author, r.placeId, r.sentiment])).toEqual([
      ['Nora Feld', 1, 'negative'],
      ['Hanne Lund', 2, 'positive'],
    ])
  })

  test.each([
    ['300 columns', Array.from({ length: 300 }, (_, i) => `c${i}`).join(',') + '\n1\n'],
    ['one column', 'just words\nmore words\n'],
    ['no rows', 'Date,Text\n'],
  ])('a table with %s is refused', async (_, bad) => {
    const { status, body } = await call<Problem>('POST', '/api/imports/reviews/preview', { csv: bad })
    expect([status, body.code, body.fields?.[0]?.field]).toEqual([422, 'csvUnreadable', 'csv'])
  })

  test('an unknown column is named', async () => {
    const { body } = await call<Problem>('POST', '/api/imports/reviews', {
      name: 'x',
      csv,
      mapping: { ...mapping, text: 'Words' },
    })
    expect(body.fields?.[0]).toMatchObject({ field: 'mapping.text', value: 'Words' })
  })

  test('a feed file comes in once', async () => {
    const document = await (await fetch(`${world.press.address}/gazette/feed`)).text()
    expect((await call<FeedPreview>('POST', '/api/imports/feed/preview', { document })).body).toMatchObject({
      format: 'atom',
      title: 'Orrin Gazette',
      entries: 1,
      undated: 0,
      sample: [{ title: 'Skerrivane in D' }],
    })
    expect(
      (await call<Problem>('POST', '/api/imports/feed/preview', { document: '<html/>' })).body.fields?.[0]
        ?.field,
    ).toBe('document')
    expect(
      (await call<ImportAnswer>('POST', '/api/imports/feed', { name: 'gazette.xml', document })).body,
    ).toMatchObject({ added: 1, known: 0 })
    expect(
      (await call<ImportAnswer>('POST', '/api/imports/feed', { name: 'gazette.xml', document })).body,
    ).toMatchObject({ added: 0, known: 1 })
    expect(
      (await call<Problem>('POST', '/api/imports/feed', { name: 'x', document: 'no feed' })).body.code,
    ).toBe('feedUnreadable')
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
    expect(csvText.split('\r\n').filter(Boolean)).toHaveLength(3)
    const feed = (
      await call<{ version: string; items: { content_text: string }[] }>(
        'GET',
        '/api/entries/export.json?unit=entries&channel=import',
      )
    ).body
    expect(feed.version).toBe('https://jsonfeed.org/version/1.1')
    expect(feed.items.map((i) => i.content_text)).toEqual(['Cold soup', 'Kind crew'])
  })
})
