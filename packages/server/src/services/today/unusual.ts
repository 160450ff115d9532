import { blankLens, type Lens, type LensContext } from '@murrabel/core/lens'
import { direction, netMinimum, netSentiment, type Spike } from '@murrabel/core/measures'
import { surenessOf } from '@murrabel/core/today'
import type { Unusual } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { placeWeeks, type PlaceWeek } from '../../store/queries/today/today.ts'
import { lensContext } from '../lens/index.ts'
import {
  explainSpike,
  hourlySeries,
  isMissed,
  listWatches,
  missedOf,
  phrasesOfLens,
  spikesOf,
  type Missed,
} from '../watches/index.ts'

type Parts = Pick<Context, 'db' | 'now' | 'textWorker'>

const hour = 3_600_000
const day = 24 * hour
/** History that the usual is learnt from. */
const historyDays = 190
/** A spike is news as long as it goes on, and for so long after. */
const spikeNewsMs = 2 * day
/** Spikes that are told, the surest first. */
const spikesTold = 3
/** Weeks in which a place goes up or down. */
const weeks = 9
/** Fewer weeks with enough said are no series. */
const weeksAtLeast = 7
/** Days of what was said in which a phrase is new. */
const phraseDays = 7
const phrasesTold = 2
/** A phrase is told from here on: so many entries, and so far above chance (z, one in 30,000). */
const phraseCount = 5
const phraseZ = 4

/** What is not as usual: watches with a spike, places that go up or down, phrases that are new; the surest first. */
export async function unusual(parts: Parts, reader: Reader): Promise<Unusual[]> {
  const context = await lensContext(parts, reader)
  const [spikes, places, phrases] = await Promise.all([
    spikesNow(parts, reader, context),
    collectedWeeks(parts.db, reader, context).then(placesMoving),
    newPhrases(parts, reader, context),
  ])
  return [...spikes, ...places, ...phrases].sort(
    (a, b) => Number(b.sureness === 'sure') - Number(a.sureness === 'sure'),
  )
}

async function spikesNow(parts: Parts, reader: Reader, context: LensContext): Promise<Unusual[]> {
  const watches = (await listWatches(parts, reader)).filter(({ paused }) => !paused)
  const found: { watch: (typeof watches)[number]; spike: Spike; origin: number; lens: Lens }[] = []
  for (const watch of watches) {
    const lens: Lens = { ...blankLens, watch: watch.id }
    const series = await hourlySeries(
      parts,
      { lens, context, reader },
      { from: context.now - historyDays * day, to: context.now },
    )
    const { origin, found: all } = spikesOf(series, context.zone)
    const spike = all.at(-1)
    if (spike && origin + spike.end * hour > context.now - spikeNewsMs)
      found.push({ watch, spike, origin, lens })
  }
  found.sort((a, b) => a.spike.tail - b.spike.tail)
  return Promise.all(
    found.slice(0, spikesTold).map(async ({ watch, spike, origin, lens }): Promise<Unusual> => {
      const { from, to, phrases, first } = await explainSpike(parts, { lens, context, reader }, spike, origin)
      return {
        kind: 'spike',
        // Its threshold is one in ten thousand an hour already.
        sureness: surenessOf(spike.tail * 24, watches.length) ?? 'fairly',
        watch: { id: watch.id, name: watch.name },
        from,
        to,
        open: spike.open,
        count: spike.count,
        expected: spike.expected,
        words: phrases.slice(0, 2).map(({ text }) => text),
        network: first?.network ?? null,
      }
    }),
  )
}

/** Weeks of places, without those in which much of what they usually hear was not collected. */
async function collectedWeeks(db: Parts['db'], reader: Reader, context: LensContext): Promise<PlaceWeek[]> {
  const { now } = context
  const rows = await placeWeeks(db, reader, { now: new Date(now), weeks })
  const from = now - weeks * 7 * day
  const missed = new Map<number, Missed[]>()
  for (const placeId of new Set(rows.map((row) => row.placeId))) {
    const lens: Lens = { ...blankLens, unit: 'entries', places: [placeId] }
    missed.set(placeId, await missedOf(db, { lens, context, reader }, { from, to: now }, now))
  }
  return rows.filter(({ placeId, ago }) => {
    const to = now - ago * 7 * day
    return !isMissed(missed.get(placeId) ?? [], { from: to - 7 * day, to })
  })
}

/** Places whose net sentiment has gone one way over the last weeks. */
export function placesMoving(rows: readonly PlaceWeek[]): Unusual[] {
  const places = new Map<number, PlaceWeek[]>()
  for (const row of rows) places.set(row.placeId, [...(places.get(row.placeId) ?? []), row])
  return [...places.values()].flatMap((list): Unusual[] => {
    const series = list.flatMap(({ positive, neutral, negative }) => {
      const net = netSentiment(positive, neutral, negative)
      return net && net.n >= netMinimum ? [100 * net.net] : []
    })
    if (series.length < weeksAtLeast) return []
    const { slope, p } = direction(series)
    const sureness = surenessOf(p, places.size)
    const { placeId, name } = list[0]!
    return sureness ? [{ kind: 'place', sureness, placeId, name, perWeek: slope, weeks: series.length }] : []
  })
}

async function newPhrases(parts: Parts, reader: Reader, context: LensContext): Promise<Unusual[]> {
  const lens: Lens = { ...blankLens, unit: 'entries', range: { last: phraseDays } }
  const { found } = await phrasesOfLens(parts, reader, { lens, context, against: 'before' })
  return found.phrases
    .filter(({ count, before, z }) => count >= phraseCount && before === 0 && z >= phraseZ)
    .slice(0, phrasesTold)
    .map(({ words, written, count, positive, negative, z }): Unusual => ({
      kind: 'phrase',
      sureness: z >= 6 ? 'sure' : 'fairly',
      text: written,
      phrase: words.join(' '),
      good: positive >= negative,
      count,
    }))
}
