import type { PhrasesAnswer, TunerAnswer } from '@murrabel/contract'
import { placedWords } from '@murrabel/core/text'
import { runWatchHistories } from '../packages/server/src/services/analysis/watchHistory.ts'
import { knowTexts } from '../packages/server/src/services/watches/knowTexts.ts'
import { openDesk, type Desk } from './lib/desk.ts'
import { loosePiece } from '../packages/server/test/support/piece.ts'
import { percentile, type Figure } from './lib/measure.ts'
import { worldTexts } from './lib/texts.ts'

const count = Number(process.env.BENCH_WATCHING_ENTRIES ?? 1_000_000)
const watches = 200

/** 200 watches over a million entries: a new watch over the history, and what the section Watch asks for. */
export async function watchingFigures(databaseUrl: string): Promise<Figure[]> {
  const desk = await openDesk(databaseUrl, { entries: count })
  await listen(desk, queries())
  const all = await historyOf(desk, `${watches} watches over the whole history, in one pass`)
  await desk.db.rows('ANALYZE')
  await putIntoGroups(desk)
  await listen(desk, [query(['refund', 'porpoises'])])
  const one = await historyOf(desk, 'a new watch over the whole history', 'under 60 s')
  const id = await latestWatch(desk)
  const { get, post, tell } = desk
  const asked = 'at most 200 ms'
  await tell('a lens page of that watch', 'at most 50 ms, 150 ms', () =>
    get(`/api/entries?unit=entries&watch=${id}`),
  )
  await tell(`standings of ${watches} watches, 28 days`, asked, () =>
    get('/api/watches/summaries?unit=entries&time=last-28'),
  )
  const some = (i: number) => 30 + (i % 100)
  await tell('figures of a watch, 28 days', asked, (i) =>
    get(`/api/watches/figures?unit=entries&watch=${some(i)}&time=last-28`),
  )
  await tell('voices of a watch, 90 days', 'at most 500 ms', (i) =>
    get(`/api/voices?unit=entries&watch=${some(i)}&time=last-90`),
  )
  await tell(
    'spikes of a watch, 28 days',
    'at most 1 s',
    (i) => get(`/api/watches/spikes?unit=entries&watch=${some(i)}&time=last-28`),
    10,
  )
  await tell(
    'a watch against another, 28 days',
    'at most 1 s',
    (i) => get(`/api/watches/compare?unit=entries&watch=${some(i)}&time=last-28&with=watch%3D${some(i) + 1}`),
    10,
  )
  await tell('rivals, 20 watches', 'at most 1 s', () => get('/api/watches/rivals?unit=entries&time=last-28'))
  await tell(
    'an alert tried on 90 days',
    'at most 1 s',
    (i) =>
      post('/api/alerts/trial', {
        lens: `watch=${some(i)}`,
        condition: { kind: 'spike' },
        quietMinutes: 60,
      }),
    10,
  )
  const phrases = await phrasesOf(desk)
  const tuner = await tunerOf(desk)
  await desk.stop()
  return [all, one, ...phrases, tuner, ...desk.figures]
}

/** Words of the demo world, from common ones to rare ones, three to a watch. */
function queries(): object[] {
  const counts = new Map<string, number>()
  for (const text of worldTexts(3000).slice(0, 2000))
    for (const word of new Set(placedWords(text).map((placed) => placed.word)))
      if (word.length > 3) counts.set(word, (counts.get(word) ?? 0) + 1)
  const words = [...counts]
    .filter(([, n]) => n < 60)
    .sort((a, b) => b[1] - a[1])
    .map(([word]) => word)
  return Array.from({ length: watches }, (_, i) => query([words[i]!, words[i + 200]!, words[i + 400]!]))
}

const query = (words: readonly string[]) => ({ anyOf: words.map((text) => ({ text })) })

const listen = ({ db }: Desk, list: readonly object[]) =>
  db.rows(
    `INSERT INTO watches (brand_id, name, query, history_done, history_total) SELECT 1, 'Bench ' || n, q::jsonb, 0, 1 FROM unnest($1::text[]) WITH ORDINALITY AS q (q, n)`,
    [list.map((each) => JSON.stringify(each))],
  )

/** Ten watches of the brand's own, ten of rivals'. */
async function putIntoGroups({ db }: Desk): Promise<void> {
  await db.rows(
    `INSERT INTO watch_groups (brand_id, name, kind) VALUES (1, 'Ours', 'brand'), (1, 'Theirs', 'rivals')`,
  )
  await db.rows(
    `UPDATE watches w SET group_id = g.id FROM watch_groups g WHERE g.brand_id = 1 AND w.id BETWEEN 31 AND 50 AND g.kind = CASE WHEN w.id % 2 = 0 THEN 'brand' ELSE 'rivals' END`,
  )
}

async function latestWatch({ db }: Desk): Promise<number> {
  const row = await db.one<{ id: number }>('SELECT max(id) AS id FROM watches')
  return row!.id
}

/** Runs the unfinished histories while somebody goes on reading lens pages. */
async function historyOf(desk: Desk, name: string, aim?: string): Promise<Figure> {
  const took: number[] = []
  const began = performance.now()
  let running = true
  const work = runWatchHistories(desk.server.context, loosePiece(1)).finally(() => (running = false))
  while (running) {
    const asked = performance.now()
    await desk.get('/api/entries?unit=entries')
    took.push(performance.now() - asked)
    await new Promise((resolve) => setTimeout(resolve, 200))
  }
  await work
  const seconds = (performance.now() - began) / 1000
  const caught = await desk.db.one<{ n: number }>('SELECT count(*) AS n FROM mentions')
  return {
    name: `${count.toLocaleString('en')} entries: ${name}`,
    value: `${seconds.toFixed(1)} s, ${Math.round(count / seconds).toLocaleString('en')} entries a second (${caught!.n.toLocaleString('en')} mentions in all)`,
    baseline: `a lens page meanwhile: ${percentile(took, 0.5).toFixed(0)} ms, 95th percentile ${percentile(took, 0.95).toFixed(0)} ms`,
    aim,
  }
}

/** A lens of 50,000 entries told from 50,000 before it: to a worker just started, to one that has read ahead, and again. */
async function phrasesOf(desk: Desk): Promise<Figure[]> {
  const days = Math.max(2, Math.round((50_000 / count) * 365))
  const ask = async (name: string, more: number): Promise<Figure> => {
    const began = performance.now()
    const { entries, against } = (await desk.get(
      `/api/watches/phrases?unit=entries&time=last-${days + more}`,
    )) as PhrasesAnswer
    const value = `${((performance.now() - began) / 1000).toFixed(2)} s`
    return {
      name: `phrases over ${(entries + against).toLocaleString('en')} entries, ${name}`,
      value,
      aim: 'under 2 s',
    }
  }
  await desk.server.context.textWorker.stop()
  const cold = await ask('the text worker not started yet', 0)
  await desk.server.context.textWorker.stop()
  const began = performance.now()
  const known = await knowTexts(desk.server.context)
  const ahead = {
    name: `reading the newest ${known.toLocaleString('en')} texts ahead, after a start`,
    value: `${((performance.now() - began) / 1000).toFixed(2)} s`,
  }
  return [
    cold,
    ahead,
    await ask('asked for the first time', 1),
    await ask('another lens over much the same', 2),
  ]
}

async function tunerOf(desk: Desk): Promise<Figure> {
  const began = performance.now()
  const tuned = (await desk.post('/api/watches/tuner', {
    query: query(['galley', 'crew']),
    marks: [],
  })) as TunerAnswer
  return {
    name: `trying a watch on 90 days, ${tuned.searched.toLocaleString('en')} entries, beside ${watches} others`,
    value: `${((performance.now() - began) / 1000).toFixed(2)} s, ${tuned.hits.toLocaleString('en')} hits`,
  }
}
