import { poissonOf, randomFrom } from '../measures/index.ts'

const hourMs = 3_600_000

/** What a coming time is simulated from. Times are milliseconds from its begin, which is a full hour. */
export interface WeekInputs {
  /** What is expected to come in, in each hour. */
  arrivals: readonly number[]
  /** What comes in: how often each, and when its answer would be due if it came at the begin of each hour; one more than hours. */
  types: readonly { weight: number; dueMs: readonly number[] }[]
  /** Who answers: the chance that they are there in each hour. */
  people: readonly { presence: readonly number[] }[]
  /** How long answers took; each is drawn as often as it stands here. */
  serviceMs: readonly number[]
  /** When those that are open now are due; below 0: past due already. */
  openDueMs: readonly number[]
}

export interface WeekForecast {
  /** Share of the answers due in this time that would be late, with the middle nine tenths of the runs; 0 to 1. */
  late: { mean: number; low: number; high: number }
  /** Answers due in this time, and of them late ones: means over the runs. */
  due: number
  lateCount: number
  /** Late ones by the hour they were due in: means over the runs. */
  byHour: number[]
  runs: number
}

interface Waiting {
  due: number
}

/**
 * How much of what is due in a coming time would be answered late. Each run draws what comes in (Poisson by hour), who is there (each
 * colleague by their own chance, hour by hour), and how long each answer takes (from those that were measured); whoever is free takes
 * what is due first, and ends what they have begun. What is past due at the beginning takes time and is not counted.
 *
 * @param options.seed the same seed draws the same arrivals, whoever is there
 * @example simulateWeek({ arrivals: [], types: [], people: [], serviceMs: [], openDueMs: [] }, { runs: 1 }).due // 0
 */
export function simulateWeek(
  inputs: WeekInputs,
  { runs, seed = 1 }: { runs: number; seed?: number },
): WeekForecast {
  const hours = inputs.arrivals.length
  const byHour = new Float64Array(hours)
  const shares: number[] = []
  let due = 0
  let lateCount = 0
  for (let run = 0; run < runs; run++) {
    const told = simulateOnce(inputs, seed * 100_003 + run, byHour)
    due += told.due
    lateCount += told.late
    shares.push(told.due ? told.late / told.due : 0)
  }
  shares.sort((a, b) => a - b)
  const at = (q: number) => shares[Math.min(shares.length - 1, Math.floor(q * shares.length))] ?? 0
  const n = Math.max(1, runs)
  return {
    late: { mean: due ? lateCount / due : 0, low: at(0.05), high: at(0.95) },
    due: due / n,
    lateCount: lateCount / n,
    byHour: Array.from(byHour, (sum) => sum / n),
    runs,
  }
}

function simulateOnce(inputs: WeekInputs, seed: number, byHour: Float64Array): { due: number; late: number } {
  const { arrivals, people, serviceMs, openDueMs } = inputs
  const end = arrivals.length * hourMs
  // Apart from each other: another colleague changes nothing of what comes in.
  const coming = drawArrivals(inputs, seed)
  const presence = randomFrom(seed ^ 0x5bd1e995)
  const service = randomFrom(seed ^ 0x27d4eb2f)
  const waiting: Waiting[] = [...openDueMs].sort((a, b) => b - a).map((each) => ({ due: each }))
  const tally = { due: 0, late: 0 }
  for (const each of openDueMs) if (each >= 0 && each < end) tally.due++
  for (const each of coming) if (each.due < end) tally.due++
  const isLate = (item: Waiting) => {
    if (item.due < 0 || item.due >= end) return
    tally.late++
    byHour[Math.floor(item.due / hourMs)]! += 1
  }
  const free = people.map(() => 0)
  let next = 0
  for (let hour = 0; hour < arrivals.length; hour++) {
    const from = hour * hourMs
    const until = from + hourMs
    const here = people.flatMap((person, i) => (presence() < (person.presence[hour] ?? 0) ? [i] : []))
    for (const i of here) free[i] = Math.max(free[i]!, from)
    while (here.length && serviceMs.length) {
      const who = here.reduce((best, i) => (free[i]! < free[best]! ? i : best))
      const at = free[who]!
      if (at >= until) break
      while (next < coming.length && coming[next]!.at <= at) enter(waiting, coming[next++]!)
      const item = waiting.pop()
      if (item) {
        const done = at + serviceMs[Math.floor(service() * serviceMs.length)]!
        free[who] = done
        if (done > item.due) isLate(item)
      } else {
        const wake = coming[next]?.at ?? Infinity
        if (wake >= until) break
        for (const i of here) free[i] = Math.max(free[i]!, wake)
      }
    }
    while (next < coming.length && coming[next]!.at <= until) enter(waiting, coming[next++]!)
  }
  // What nobody came to.
  for (const item of waiting) isLate(item)
  return tally
}

/** Puts one in, so that what is due first stands last. */
function enter(waiting: Waiting[], item: Waiting): void {
  let low = 0
  let high = waiting.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (waiting[middle]!.due > item.due) low = middle + 1
    else high = middle
  }
  waiting.splice(low, 0, item)
}

function drawArrivals({ arrivals, types }: WeekInputs, seed: number): (Waiting & { at: number })[] {
  const random = randomFrom(seed)
  const all = types.reduce((sum, { weight }) => sum + weight, 0)
  if (!all) return []
  const coming: (Waiting & { at: number })[] = []
  arrivals.forEach((mean, hour) => {
    for (let n = poissonOf(mean, random); n > 0; n--) {
      const within = random()
      let left = random() * all
      const type = types.find(({ weight }) => (left -= weight) < 0) ?? types[types.length - 1]!
      const first = type.dueMs[hour]!
      coming.push({ at: (hour + within) * hourMs, due: first + within * (type.dueMs[hour + 1]! - first) })
    }
  })
  return coming.sort((a, b) => a.at - b.at)
}
