import { changeOfNet, independentEntries, netSentiment, type ClusterSums } from '../src/measures/index.ts'
import { drawing, percent, rate, type SimulatedFigure } from './figure.ts'

type Draw = () => number
interface Entry {
  story: number
  author: number
  value: number
}

/** Positive, neutral or negative, of a net sentiment of 0.1. */
const mood = (draw: Draw) => {
  const x = draw()
  return x < 0.4 ? 1 : x < 0.7 ? 0 : -1
}

/** So many voices: each tells one story of its own, several things in about its own mood, or copies a story that many copy. */
function said(voices: number, { copied, again }: { copied: number; again: number }, draw: Draw): Entry[] {
  const entries: Entry[] = []
  const stories = Array.from({ length: Math.max(3, Math.round(voices / 8)) }, (_, id) => ({
    id: -1 - id,
    value: mood(draw),
  }))
  for (let author = 0; author < voices; author++) {
    if (draw() < copied) {
      // A few stories are copied much, most of them little.
      const story = stories[Math.floor(draw() ** 2 * stories.length)]!
      entries.push({ story: story.id, author, value: story.value })
      continue
    }
    const own = mood(draw)
    const times = draw() < again ? 2 + Math.floor(draw() * 6) : 1
    for (let i = 0; i < times; i++)
      entries.push({ story: entries.length, author, value: draw() < 0.6 ? own : mood(draw) })
  }
  return entries
}

function sumsOf(entries: readonly Entry[], key: (entry: Entry) => string | number): ClusterSums {
  const clusters = new Map<string | number, { n: number; said: number }>()
  for (const entry of entries) {
    const cluster = clusters.get(key(entry)) ?? { n: 0, said: 0 }
    cluster.n++
    cluster.said += entry.value
    clusters.set(key(entry), cluster)
  }
  const sums: ClusterSums = { clusters: clusters.size, squares: 0, cross: 0, sizes: 0 }
  for (const { n, said: sum } of clusters.values()) {
    sums.squares += sum * sum
    sums.cross += sum * n
    sums.sizes += n * n
  }
  return sums
}

/** Net sentiment where many copy one another: how often the interval holds the truth, told from all entries and from independent ones. */
export function clusterFigures(runs = 1500): SimulatedFigure[] {
  const draw = drawing(10)
  const worlds: [string, { copied: number; again: number }][] = [
    ['nobody copies', { copied: 0, again: 0 }],
    ['some write again', { copied: 0, again: 0.4 }],
    ['a third copy stories', { copied: 0.33, again: 0.1 }],
    ['two thirds copy stories', { copied: 0.67, again: 0.1 }],
  ]
  return worlds.map(([name, world]) => {
    const measured = [20, 100, 400].map((voices) => {
      const drawn = () => {
        const entries = said(voices, world, draw)
        const count = (value: number) => entries.filter((entry) => entry.value === value).length
        const counts = [count(1), count(0), count(-1)] as const
        const independent = independentEntries(
          { positive: counts[0], neutral: counts[1], negative: counts[2] },
          {
            byStory: sumsOf(entries, ({ story }) => story),
            byAuthor: sumsOf(entries, ({ author }) => author),
            byBoth: sumsOf(entries, ({ story, author }) => `${story} ${author}`),
          },
        )!
        return {
          part: independent / entries.length,
          plain: netSentiment(...counts)!,
          net: netSentiment(...counts, independent)!,
        }
      }
      const holds = (net: { low: number; high: number }) => net.low <= 0.1 && 0.1 <= net.high
      let plain = 0
      let independents = 0
      const held = rate(runs, () => {
        const each = drawn()
        independents += each.part
        if (holds(each.plain)) plain++
        return holds(each.net)
      })
      const wrong = rate(runs, () => changeOfNet(drawn().net, drawn().net)!.sure)
      return `${percent(held)} of ${voices} voices (${percent(plain / runs)} from all entries; ${percent(independents / runs)} of them independent), two of the same surely different in ${percent(wrong)}`
    })
    return {
      what: `Net sentiment, ${name}: the interval holds the truth`,
      claimed: 'at least 93%; at most 5% surely different',
      measured: measured.join('; '),
      how: `${runs.toLocaleString('en')} samples of each size`,
    }
  })
}
