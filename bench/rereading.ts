import type { TeachingAnswer } from '@murrabel/contract'
import { openDesk } from './lib/desk.ts'
import { percentile, type Figure } from './lib/measure.ts'
import { startWorker } from './lib/startWorker.ts'

const entries = Number(process.env.BENCH_REREAD_ENTRIES ?? 200_000)
/** An inbox that somebody looks at meanwhile. */
const lookEveryMs = 250

interface Pass {
  read: number
  seconds: number
  /** Milliseconds of each look at the inbox. */
  looks: number[]
}

/** A history read again in the background, with a web process that answers meanwhile. */
export async function rereadingFigures(databaseUrl: string): Promise<Figure[]> {
  const desk = await openDesk(databaseUrl, { entries })
  const { db, get } = desk
  const look = async (): Promise<number> => {
    const began = performance.now()
    await get('/api/entries?unit=threads&state=open&order=pressing&limit=60')
    return performance.now() - began
  }
  const quiet = await Promise.all([look(), look(), look()]).then((took) => percentile(took, 0.5))
  const state = () =>
    db.one<{ done: number; total: number }>(
      'SELECT history_done AS done, history_total AS total FROM teaching LIMIT 1',
    )
  /** From when it has begun until the whole history is read. */
  const pass = async (): Promise<Pass> => {
    for (let at = await state(); !at?.total || at.done >= at.total; at = await state())
      await new Promise((resolve) => setTimeout(resolve, 50))
    const from = (await state())!.done
    const began = performance.now()
    const looks: number[] = []
    for (;;) {
      looks.push(await look())
      const { done, total } = (await state())!
      if (done >= total) return { read: total - from, seconds: (performance.now() - began) / 1000, looks }
      await new Promise((resolve) => setTimeout(resolve, lookEveryMs))
    }
  }
  /** A history as an older version of the reader left it, which the jobs find when they start. */
  const passAfter = async (changed: string): Promise<Pass> => {
    await db.rows(`DELETE FROM reading_steps WHERE step = 'sentiment'`)
    worker?.kill()
    await db.rows(`UPDATE entries SET ${changed} WHERE direction = 'in'`)
    // A history that has lain a while is no heap of rows that were just replaced.
    await db.rows('VACUUM ANALYZE entries')
    worker = startWorker(databaseUrl)
    return pass()
  }
  let worker: ReturnType<typeof startWorker> | undefined
  // Nothing says what it said: the worst that can be.
  const otherMood = `CASE sentiment WHEN 'neutral' THEN 'negative' ELSE 'neutral' END`
  const worst = await passAfter(`sentiment = ${otherMood}, wish = 'offer'`)
  // As after new models: other figures and other words everywhere, another mood and another wish in one of ten.
  const newModels = await passAfter(
    `confidence = 0.9 * confidence, spans = '[]', sentiment = CASE id % 10 WHEN 0 THEN ${otherMood} ELSE sentiment END,
     wish = CASE id % 10 WHEN 1 THEN 'offer' ELSE wish END`,
  )
  const { edition } = (await get('/api/teaching')) as TeachingAnswer
  await desk.put('/api/teaching/words', { words: [{ term: 'galley', valence: 2 }], edition })
  const taught = await pass()
  worker?.kill()
  await desk.stop()
  const told = ({ read, seconds }: Pass) =>
    `${Math.round(read / seconds).toLocaleString('en')} a second: a million in ${(1_000_000 / (read / seconds) / 60).toFixed(1)} minutes`
  const aim = 'a million in under 4 minutes'
  const all = entries.toLocaleString('en')
  const looks = [...worst.looks, ...newModels.looks, ...taught.looks]
  return [
    {
      name: `a word is taught, and the history of ${all} entries read again in the background`,
      value: told(taught),
      aim,
    },
    {
      name: 'the same after new models: other figures and words everywhere, another mood and another wish in one of ten',
      value: told(newModels),
      aim,
    },
    { name: 'the same where every entry says something else than before', value: told(worst), aim },
    {
      name: 'the inbox meanwhile',
      value: `${percentile(looks, 0.5).toFixed(1)} ms, 95th percentile ${percentile(looks, 0.95).toFixed(1)} ms`,
      baseline: `while nothing is read again: ${quiet.toFixed(1)} ms`,
    },
  ]
}
