import { customerColumns, type CustomerMapping } from '@murrabel/contract'
import type { Database } from '@murrabel/server'
import { readCustomers } from '../packages/server/src/files/readCustomers.ts'
import { meetPeople, takeCustomers, type Customer } from '../packages/server/src/services/people/index.ts'
import { loosePiece } from '../packages/server/test/support/piece.ts'
import { openDesk } from './lib/desk.ts'
import type { Figure } from './lib/measure.ts'

const size = {
  entries: Number(process.env.BENCH_PEOPLE_ENTRIES ?? 1_000_000),
  people: Number(process.env.BENCH_PEOPLE_COUNT ?? 300_000),
}
const visits = Number(process.env.BENCH_PEOPLE_VISITS ?? 1_000_000)
/** Rows of a table of customers. */
const rows = Number(process.env.BENCH_PEOPLE_ROWS ?? 200_000)
const aim = '50 ms, 95th percentile 150 ms'

/** Lists of people, cards, and finding who may be the same, at 300,000 people. */
export async function peopleFigures(databaseUrl: string): Promise<Figure[]> {
  const desk = await openDesk(databaseUrl, size)
  const { db, get, tell, server } = desk
  const all = `${size.people.toLocaleString('en')} people`
  await loadVisits(db)
  const names = await db.rows<{ id: number; name: string }>(
    'SELECT id, name FROM people ORDER BY id % 997, id LIMIT 200',
  )
  const nameOf = (i: number) => names[i % names.length]!
  await tell(`${all}: those of the last four weeks, most said first`, aim, () =>
    get('/api/people?time=last-28'),
  )
  await tell('those of the last four weeks at one place, unhappiest first', aim, (i) =>
    get(`/api/people?time=last-28&place=${1 + (i % 5)}&order=unhappiest`),
  )
  await tell(
    'those of the last four weeks, unhappiest first (their days lie in the order of time)',
    aim,
    () => get('/api/people?time=last-28&order=unhappiest'),
  )
  await tell('those of the last four weeks, latest first', aim, () =>
    get('/api/people?time=last-28&order=latest'),
  )
  await tell('those of the last four weeks by name', aim, () => get('/api/people?time=last-28&order=name'))
  await tell('how many they are, asked for beside the page', '', () => get('/api/people/count?time=last-28'))
  await tell('somebody by name, at any time', aim, (i) =>
    get(`/api/people?named=${encodeURIComponent(nameOf(i).name)}`),
  )
  await tell('everybody of a family name, at any time', aim, (i) =>
    get(`/api/people?named=${nameOf(i).name.split(' ')[1]}`),
  )
  await tell('everybody, at any time, most said first', aim, () => get('/api/people'))
  await tell(`those who visited in the last four weeks, of ${visits.toLocaleString('en')} visits`, aim, () =>
    get('/api/people?time=last-28&visited=yes'),
  )
  await tell('those who visited one place in the last four weeks, latest first', aim, (i) =>
    get(`/api/people?time=last-28&visited=yes&place=${1 + (i % 5)}&order=latest`),
  )
  await tell('those who wrote in the last four weeks and did not visit', aim, () =>
    get('/api/people?time=last-28&visited=no'),
  )
  await tell('how many those are', '', () => get('/api/people/count?time=last-28&visited=no'))
  await tell('everybody who ever visited', aim, () => get('/api/people?visited=yes'))
  await tell('a card', '100 ms', (i) => get(`/api/people/${nameOf(i).id}`))
  await tell('pairs that may be the same', aim, () => get('/api/people/proposals'))
  const figures = [...desk.figures]
  const meetAll = async (): Promise<number> => {
    const began = performance.now()
    await meetPeople(server.context, loosePiece(1))
    return (performance.now() - began) / 1000
  }
  await db.rows('UPDATE people SET unmet = true')
  const read = await meetAll()
  await db.rows('INSERT INTO people_to_compare (brand_id, person_id) SELECT brand_id, id FROM people')
  const compared = await meetAll()
  const found = await db.one<{ n: number }>('SELECT count(*)::int AS n FROM person_proposals')
  figures.push(
    {
      name: `who may be the same, over ${all}`,
      value: `${compared.toFixed(0)} s, ${found!.n.toLocaleString('en')} pairs proposed`,
      aim: 'under 60 s, in the background',
    },
    { name: 'the same, everybody read anew before', value: `${read.toFixed(0)} s` },
  )
  const one: number[] = []
  for (let i = 0; i < 40; i++) {
    await db.rows('UPDATE people SET unmet = true WHERE id = $1', [nameOf(i).id])
    const start = performance.now()
    await meetPeople(server.context, loosePiece(1))
    one.push(performance.now() - start)
  }
  one.sort((a, b) => a - b)
  figures.push({
    name: 'somebody new, read and compared',
    value: `${one[20]!.toFixed(1)} ms, 95th percentile ${one[37]!.toFixed(1)} ms`,
    aim: '50 ms',
  })
  figures.push(...(await customerFigures(db)))
  await desk.stop()
  return figures
}

/** Visits over two years, some of the people often, most once or twice. */
async function loadVisits(db: Database): Promise<void> {
  const there = await db.one<{ n: number }>('SELECT count(*)::int AS n FROM visits')
  if (there!.n) return
  // Those who were loaded have numbers of their own.
  await db.rows(`SELECT setval('people_id_seq', (SELECT max(id) FROM people))`)
  await db.rows(
    `INSERT INTO visits (brand_id, person_id, shown_as, outside_id, at, route, ship, place_id, party, price, currency, state, source, told_at)
     SELECT 1, p.id, p.shown_as, 'V' || i, now() - (i % 17520) * interval '1 hour', 'Dunmarrow to Port Ellery', 'Grey Heron',
       1 + i % 5, 1 + i % 4, 9 * (1 + i % 4), 'GBP', CASE WHEN i % 20 = 0 THEN 'failed' ELSE 'done' END, 'file', now()
     FROM generate_series(1, $1::int) i
     JOIN people p ON p.id = 1 + floor(power(((i::bigint * 7919) % 1000003) / 1000003.0, 2) * $2)::bigint`,
    [visits, size.people],
  )
  await db.rows('VACUUM ANALYZE visits')
  await db.rows('VACUUM ANALYZE person_totals')
}

const mapping: CustomerMapping = {
  ...(Object.fromEntries(customerColumns.map((name) => [name, null])) as CustomerMapping),
  reference: 'No',
  name: 'Name',
  email: 'Mail',
  phone: 'Phone',
  visit: 'Booking',
  at: 'When',
  route: 'Route',
}

const table = (count: number): string =>
  `No,Name,Mail,Phone,Booking,When,Route\n${Array.from(
    { length: count },
    (_, i) =>
      `T${i},Perrin Oakes ${i},p${i}@table.example,+44 7700 9${String(i % 100_000).padStart(5, '0')},B${i},2026-0${1 + (i % 9)}-11 09:20,Dunmarrow to Port Ellery`,
  ).join('\n')}\n`

/** A table of customers: read, taken in, and taken in again. */
async function customerFigures(db: Database): Promise<Figure[]> {
  const question = {
    mapping,
    zone: 'Europe/London',
    places: [],
    now: Date.parse('2026-11-27T00:00:00Z'),
    dateOrder: null,
    country: null,
  }
  const timed = async <Answer>(work: () => Answer | Promise<Answer>) => {
    const began = performance.now()
    const answer = await work()
    return { answer, seconds: (performance.now() - began) / 1000 }
  }
  const half = await timed(() => readCustomers(table(rows / 2), question))
  const whole = await timed(() => readCustomers(table(rows), question))
  const customers: Customer[] = whole.answer.items.map(({ consents: _consents, visit, ...read }) => ({
    ...read,
    consents: [],
    visit: visit && { ...visit, at: new Date(visit.at).toISOString(), placeId: null, source: 'file' },
  }))
  const take = () =>
    timed(async () => {
      let added = 0
      for (let i = 0; i < customers.length; i += 500)
        added += await db.inTransaction(
          async (tx) =>
            (
              await takeCustomers(
                db,
                { brandId: 1, hidden: (text) => Buffer.from(text), source: 'file', toldAt: new Date() },
                customers.slice(i, i + 500),
                tx,
              )
            ).added,
        )
      return added
    })
  const first = await take()
  const again = await take()
  const perSecond = (seconds: number) => `${Math.round(rows / seconds).toLocaleString('en')} rows a second`
  return [
    {
      name: `a table of ${rows.toLocaleString('en')} customers, read`,
      value: `${whole.seconds.toFixed(1)} s; half of it takes ${(half.seconds / whole.seconds).toFixed(2)} of that`,
      aim: 'twice the rows, twice the time',
    },
    {
      name: 'the same, taken in with a visit each',
      value: `${first.seconds.toFixed(0)} s, ${perSecond(first.seconds)}, ${first.answer.toLocaleString('en')} added`,
      aim: 'with progress, in the background',
    },
    {
      name: 'the same once more',
      value: `${again.seconds.toFixed(0)} s, ${again.answer.toLocaleString('en')} added`,
      aim: 'changes nothing',
    },
  ]
}
