import { afterAll, beforeAll, describe, expect, test } from 'vitest'
import { defaultDuePolicy } from '@murrabel/core/inbox'
import type { BrandAnswer, BrandSetUp, HolidaysAnswer, PlaceSetUp, Problem } from '@murrabel/contract'
import { readHolidays } from '../../src/files/readHolidays.ts'
import { ingest } from '../../src/services/intake/ingest.ts'
import type { IngestProfile } from '../../src/store/queries/intake/ingest.ts'
import { until } from '../support/until.ts'
import { settled, startTestWorld, type Caller, type TestWorld } from '../support/world.ts'

const now = Date.parse('2026-11-27T12:00:00Z')
const calendar = (...lines: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:x', ...lines, 'END:VCALENDAR', ''].join('\r\n')
const event = (...lines: string[]) => ['BEGIN:VEVENT', `UID:${lines.join('')}`, ...lines, 'END:VEVENT']
const dates = (text: string) => readHolidays(text, now).days.map(({ date }) => date)

describe('days of a calendar file', () => {
  test.each<[string, string[], string[]]>([
    ['a whole day', event('DTSTART;VALUE=DATE:20261225', 'SUMMARY:Christmas'), ['2026-12-25']],
    [
      'several days; the end is not included',
      event('DTSTART;VALUE=DATE:20261224', 'DTEND;VALUE=DATE:20261227'),
      ['2026-12-24', '2026-12-25', '2026-12-26'],
    ],
    [
      'every year, without an end, from long ago',
      event('DTSTART;VALUE=DATE:19500101', 'RRULE:FREQ=YEARLY'),
      ['2027-01-01', '2028-01-01', '2029-01-01'],
    ],
    [
      'left out once',
      event('DTSTART;VALUE=DATE:20250101', 'RRULE:FREQ=YEARLY', 'EXDATE;VALUE=DATE:20280101'),
      ['2027-01-01', '2029-01-01'],
    ],
    [
      'a time, in a zone of its own',
      event('DTSTART;TZID=Somewhere:20261231T233000', 'DTEND;TZID=Somewhere:20270101T020000'),
      ['2026-12-31'],
    ],
    ['what is past', event('DTSTART;VALUE=DATE:20200101'), []],
    ['called off', event('DTSTART;VALUE=DATE:20261225', 'STATUS:CANCELLED'), []],
  ])('%s', (_, lines, expected) => expect(dates(calendar(...lines))).toEqual(expected))

  test('a zone that the calendar brings itself, folded lines, and the same day twice', () => {
    const text = calendar(
      'BEGIN:VTIMEZONE',
      'TZID:Orrin',
      'BEGIN:STANDARD',
      'DTSTART:19700101T000000',
      'TZOFFSETFROM:+0130',
      'TZOFFSETTO:+0130',
      'END:STANDARD',
      'END:VTIMEZONE',
      ...event('DTSTART;TZID=Orrin:20270105T000000', 'SUMMARY:The Day of', '  the Heron'),
      ...event('DTSTART;VALUE=DATE:20270105', 'SUMMARY:Again'),
    )
    expect(readHolidays(text, now)).toEqual({
      days: [{ date: '2027-01-05', name: 'The Day of the Heron' }],
      leftOut: 0,
    })
  })

  test('ten thousand events that repeat for ever end, and say what they left out', () => {
    const many = Array.from({ length: 10_000 }, (_, i) =>
      event(`DTSTART;VALUE=DATE:19${60 + (i % 40)}0101`, 'RRULE:FREQ=DAILY', `SUMMARY:${i}`),
    ).flat()
    const found = readHolidays(calendar(...many), now)
    expect(found.days.length).toBeLessThanOrEqual(400)
    expect(found.leftOut).toBeGreaterThan(9000)
  })

  test('ten thousand events that are long past, each repeated ten thousand times, end as well', () => {
    const many = Array.from({ length: 10_000 }, () =>
      event('DTSTART;VALUE=DATE:19600101', 'RRULE:FREQ=DAILY;COUNT=10000', 'SUMMARY:past'),
    ).flat()
    expect(
      readHolidays(calendar(...many, ...event('DTSTART;VALUE=DATE:20270301', 'SUMMARY:x')), now),
    ).toEqual({
      days: [],
      leftOut: expect.any(Number) as number,
    })
  })

  test.each(['', 'Date,Text', 'BEGIN:VCARD\r\nVERSION:4.0\r\nFN:x\r\nEND:VCARD'])(
    '%j is no calendar',
    (text) =>
      expect(() => readHolidays(text, now)).toThrow(expect.objectContaining({ code: 'calendarUnreadable' })),
  )
})

describe('places and due times', () => {
  let world: TestWorld
  let owner: Caller
  let specialist: Caller

  beforeAll(async () => {
    world = await startTestWorld()
    ;[owner, specialist] = (await Promise.all(
      (['wynn', 'tamsin'] as const).map((who) => world.signIn(who)),
    )) as [Caller, Caller]
  }, 150_000)
  afterAll(() => world.stop())

  const week = (hours: [number, number][]) => Array.from({ length: 7 }, () => hours)
  const listed = async () => (await owner<PlaceSetUp[]>('GET', '/api/set-up/places')).body
  const brand = async () => (await owner<BrandSetUp>('GET', '/api/set-up/brand')).body

  test('a place is added, changed by one at a time, and taken away', async () => {
    expect((await specialist('GET', '/api/set-up/places')).status).toBe(403)
    const made = (await owner<PlaceSetUp>('POST', '/api/set-up/places', { name: 'Tern Skerry', week: null }))
      .body
    expect(made).toMatchObject({ name: 'Tern Skerry', week: null, specialDays: [], profiles: 0, edition: 1 })
    expect(
      (await owner<Problem>('POST', '/api/set-up/places', { name: 'Tern Skerry', week: null })).body.code,
    ).toBe('placeNameTaken')
    const places = (await owner<BrandAnswer>('GET', '/api/brand')).body.places
    expect(places.find(({ id }) => id === made.id)?.hours).toBe(false)
    const path = `/api/set-up/places/${made.id}`
    const draft = {
      name: 'Tern Skerry',
      url: 'https://ferry.example/tern',
      week: week([[540, 1020]]),
      specialDays: [
        { date: '2026-12-26', name: '', hours: [] },
        { date: '2026-12-25', name: 'Christmas', hours: [[600, 720]] },
        { date: '2026-12-25', name: 'Christmas Day', hours: [] },
      ],
    }
    const changed = (await owner<PlaceSetUp>('PUT', path, { ...draft, edition: 1 })).body
    expect(changed.specialDays.map(({ date, name }) => [date, name])).toEqual([
      ['2026-12-25', 'Christmas Day'],
      ['2026-12-26', ''],
    ])
    expect((await owner<Problem>('PUT', path, { ...draft, edition: 1 })).body.code).toBe('changedMeanwhile')
    expect((await owner<Problem>('PUT', path, { ...draft, name: 'Port Ellery' })).body.code).toBe(
      'placeNameTaken',
    )
    const wrong = (await owner<Problem>('PUT', path, { ...draft, week: week([[720, 540]]) })).body
    expect(wrong.fields?.[0]).toMatchObject({ field: 'week[0]', code: 'hoursOrder' })
    expect((await owner('DELETE', path)).status).toBe(204)
    expect((await listed()).some(({ id }) => id === made.id)).toBe(false)
  })

  test('a place to which profiles belong is not taken away', async () => {
    const { db } = world.server.context
    const [place] = await listed()
    await db.rows(
      `INSERT INTO profiles (brand_id, place_id, channel, network, outside_id, name, status, hook_token) VALUES (1, $1, 'maps', 'wherabout', 'x', 'x', 'expired', 'x')`,
      [place!.id],
    )
    expect((await owner<Problem>('DELETE', `/api/set-up/places/${place!.id}`)).body.code).toBe('placeInUse')
  })

  test('whoever was limited to a place that goes is not let see everything', async () => {
    const { db } = world.server.context
    const { id } = (await owner<PlaceSetUp>('POST', '/api/set-up/places', { name: 'Gone', week: null })).body
    const limits = () =>
      db.one<{ places: number[] | null }>(
        `SELECT place_ids AS places FROM memberships WHERE colleague_id = (SELECT id FROM colleagues WHERE email LIKE 'rowan@%')`,
      )
    const before = (await limits())!.places
    await db.rows(
      `UPDATE memberships SET place_ids = ARRAY[$1]::int[] WHERE colleague_id = (SELECT id FROM colleagues WHERE email LIKE 'rowan@%')`,
      [id],
    )
    await owner('DELETE', `/api/set-up/places/${id}`)
    expect((await limits())!.places).toEqual([])
    await db.rows(
      `UPDATE memberships SET place_ids = $1 WHERE colleague_id = (SELECT id FROM colleagues WHERE email LIKE 'rowan@%')`,
      [before],
    )
  })

  test('other hours and other rules move what is open', async () => {
    const { db } = world.server.context
    const place = (await owner<PlaceSetUp>('POST', '/api/set-up/places', { name: 'Moved', week: null })).body
    const profile = (await db.one<IngestProfile>(
      `INSERT INTO profiles (brand_id, place_id, channel, network, outside_id, name, status, hook_token, connected_at)
       VALUES (1, $1, 'email', 'email', 'moved', 'moved', 'expired', 'moved', now() - interval '1 day')
       RETURNING id, brand_id AS "brandId", place_id AS "placeId", channel, network, outside_id AS "outsideId"`,
      [place.id],
    ))!
    const at = Date.now() - 60_000
    await ingest(world.server.context, profile, [
      {
        outsideId: 'm',
        threadId: 'm',
        kind: 'message',
        direction: 'in',
        author: { outsideId: 'a@b.example', name: 'A' },
        text: 'Where is the timetable?',
        at,
        raw: {},
      },
    ])
    await settled(world)
    const due = async () =>
      (await db.one<{ due: Date | null }>(`SELECT due_at AS due FROM threads WHERE profile_id = $1`, [
        profile.id,
      ]))!.due
    const first = (await due())!.getTime()
    expect(first).toBe(at + defaultDuePolicy.messageMinutes * 60_000)
    const path = `/api/set-up/places/${place.id}`
    // Open for one minute a day from now on: it takes days.
    await owner('PUT', path, { name: 'Moved', week: week([[0, 1]]) })
    const later = await until(async () => {
      const moved = (await due())!.getTime()
      return moved !== first && moved
    })
    expect(later).toBeGreaterThan(first + 86_400_000)
    const { zone: _zone, ...setUp } = await brand()
    const rules = [
      { kinds: [], channels: ['texts'], sentiments: [], priority: 0, minutes: 5 },
      { kinds: ['message'], channels: ['email'], sentiments: [], priority: 0, minutes: null },
    ]
    expect(
      (await owner<Problem>('PUT', '/api/set-up/brand', { ...setUp, rules: [{ minutes: 'soon' }] })).status,
    ).toBe(422)
    const changed = (
      await owner<BrandSetUp>('PUT', '/api/set-up/brand', { ...setUp, nicknames: ['Skerries'], rules })
    ).body
    expect(changed).toMatchObject({ nicknames: ['Skerries'], rules, edition: setUp.edition + 1 })
    await until(async () => (await due()) === null)
    expect((await owner<Problem>('PUT', '/api/set-up/brand', setUp)).body.code).toBe('changedMeanwhile')
  })

  test('a calendar file is read over the wire, and one that is none is refused', async () => {
    const { body } = await owner<HolidaysAnswer>(
      'POST',
      '/api/set-up/holidays',
      calendar(...event('DTSTART;VALUE=DATE:20991225')),
    )
    expect(body).toEqual({ days: [], leftOut: 0 })
    expect((await owner<Problem>('POST', '/api/set-up/holidays', 'no')).body.code).toBe('calendarUnreadable')
  })
})
