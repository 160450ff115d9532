import { openDesk } from './lib/desk.ts'
import { percentile, type Figure } from './lib/measure.ts'
import { startWorker } from './lib/startWorker.ts'

const entries = Number(process.env.BENCH_REREAD_ENTRIES ?? 200_000)
/** An inbox that somebody looks at meanwhile. */
const lookEveryMs = 250

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
  await db.rows(`DELETE FROM reading_steps WHERE step = 'sentiment'`)
  const worker = startWorker(databaseUrl)
  const state = () =>
    db.one<{ done: number; total: number }>(
      'SELECT history_done AS done, history_total AS total FROM teaching LIMIT 1',
    )
  while (!((await state())?.total ?? 0)) await new Promise((resolve) => setTimeout(resolve, 100))
  const began = performance.now()
  const from = (await state())!.done
  const took: number[] = []
  for (;;) {
    took.push(await look())
    const { done, total } = (await state())!
    if (done >= total) break
    await new Promise((resolve) => setTimeout(resolve, lookEveryMs))
  }
  const seconds = (performance.now() - began) / 1000
  worker.kill()
  await desk.stop()
  const perSecond = (entries - from) / seconds
  return [
    {
      name: `${entries.toLocaleString('en')} entries read again in the background, most of them otherwise than before`,
      value: `${Math.round(perSecond).toLocaleString('en')} a second: a million in ${(1_000_000 / perSecond / 60).toFixed(1)} minutes`,
      aim: 'a million in under 4 minutes',
    },
    {
      name: 'the inbox meanwhile',
      value: `${percentile(took, 0.5).toFixed(1)} ms, 95th percentile ${percentile(took, 0.95).toFixed(1)} ms`,
      baseline: `while nothing is read again: ${quiet.toFixed(1)} ms`,
    },
  ]
}
