import type { EntryPage } from '@murrabel/contract'
import { openDesk } from './lib/desk.ts'
import type { Figure } from './lib/measure.ts'

const count = Number(process.env.BENCH_ENTRIES ?? 200_000)

/** Lens pages, tide line and thread over HTTP, on a database of 200,000 entries. */
export async function httpFigures(databaseUrl: string): Promise<Figure[]> {
  const desk = await openDesk(databaseUrl, { entries: count })
  const { get } = desk
  const tell = (name: string, aim: string, path: (i: number) => string) =>
    desk.tell(name, aim, (i) => get(path(i)))
  const page = 'at most 50 ms, 150 ms'
  await tell(
    'lens page, open, most pressing first',
    page,
    () => '/api/entries?unit=threads&state=open&time=last-14&order=pressing',
  )
  await tell('lens page, everything, newest first', page, () => '/api/entries?unit=entries')
  await tell(
    'lens page, negative at two places',
    page,
    (i) => `/api/entries?unit=threads&sentiment=negative&place=${1 + (i % 4)},${2 + (i % 4)}`,
  )
  await tell(
    'lens page, words',
    page,
    (i) => `/api/entries?unit=entries&words=${['refund', 'galley', 'porpoises', 'toilets', 'bacon'][i % 5]}`,
  )
  await tell('lens page, a watch', page, (i) => `/api/entries?unit=entries&watch=${1 + (i % 20)}`)
  const deep = (await get('/api/entries?unit=entries&time=last-365&limit=200')) as EntryPage
  await tell(
    'lens page, far down the list',
    page,
    () => `/api/entries?unit=entries&time=last-365&after=${deep.next}`,
  )
  await tell(
    'count of a lens',
    page,
    () => '/api/entries/count?unit=threads&state=open&time=last-14&order=pressing',
  )
  await tell(
    'tide line, everything, from roll-ups',
    'at most 200 ms',
    () => '/api/tide?unit=entries&time=last-14',
  )
  await tell(
    'tide line, open threads',
    'at most 200 ms',
    () => '/api/tide?unit=threads&state=open&time=last-14',
  )
  await tell(
    'chart of a watch over a year',
    'at most 200 ms',
    (i) => `/api/tide?unit=entries&watch=${1 + (i % 20)}&time=last-365&span=range`,
  )
  await tell('thread', page, (i) => `/api/threads/${1 + i * 997}`)
  await desk.stop()
  return desk.figures
}
