import { meetPeople } from '../packages/server/src/services/people/index.ts'
import { loosePiece } from '../packages/server/test/support/piece.ts'
import { openDesk } from './lib/desk.ts'
import type { Figure } from './lib/measure.ts'

const size = {
  entries: Number(process.env.BENCH_PEOPLE_ENTRIES ?? 1_000_000),
  people: Number(process.env.BENCH_PEOPLE_COUNT ?? 300_000),
}
const aim = '50 ms, 95th percentile 150 ms'

/** Lists of people, cards, and finding who may be the same, at 300,000 people. */
export async function peopleFigures(databaseUrl: string): Promise<Figure[]> {
  const desk = await openDesk(databaseUrl, size)
  const { db, get, tell, server } = desk
  const all = `${size.people.toLocaleString('en')} people`
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
  await tell('somebody by name, at any time', aim, (i) =>
    get(`/api/people?named=${encodeURIComponent(nameOf(i).name)}`),
  )
  await tell('everybody of a family name, at any time', aim, (i) =>
    get(`/api/people?named=${nameOf(i).name.split(' ')[1]}`),
  )
  await tell('everybody, at any time, most said first', aim, () => get('/api/people'))
  await tell('a card', '100 ms', (i) => get(`/api/people/${nameOf(i).id}`))
  await tell('pairs that may be the same', aim, () => get('/api/people/proposals'))
  const figures = [...desk.figures]
  await db.rows('UPDATE people SET unmet = true')
  const began = performance.now()
  await meetPeople(server.context, loosePiece(1))
  const seconds = (performance.now() - began) / 1000
  const found = await db.one<{ n: number }>('SELECT count(*)::int AS n FROM person_proposals')
  figures.push({
    name: `who may be the same, over ${all}`,
    value: `${seconds.toFixed(0)} s, ${found!.n.toLocaleString('en')} pairs proposed`,
    aim: 'under 60 s, in the background',
  })
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
  await desk.stop()
  return figures
}
