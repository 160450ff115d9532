import { distinctivePhrases } from '../src/phrases/index.ts'
import { drawing, percent, type SimulatedFigure } from './figure.ts'

const vocabulary = 6000
const sums = Array.from({ length: vocabulary }, (_, i) => 1 / (i + 3)).reduce<number[]>((all, weight) => {
  all.push((all.at(-1) ?? 0) + weight)
  return all
}, [])

/** Words as often as words are: the second half as often as the first, and so on (Zipf). */
function zipfWord(draw: () => number): string {
  const at = draw() * sums.at(-1)!
  let [low, high] = [0, vocabulary - 1]
  while (low < high) {
    const middle = (low + high) >> 1
    if (sums[middle]! < at) low = middle + 1
    else high = middle
  }
  // Letters only: figures are told apart from words.
  return `w${low.toString(36).replace(/[0-9]/g, (digit) => 'qrstuvwxyz'[Number(digit)]!)}x`
}
const entriesOf = (n: number, draw: () => number, words = 14) =>
  Array.from({ length: n }, (_, id) => ({
    id,
    text: Array.from({ length: words }, () => zipfWord(draw)).join(' '),
  }))

/** Two parts of one corpus, of which nothing tells the one from the other; and a word that is new or nearly so. */
export function phraseFigures(runs = 40): SimulatedFigure[] {
  const draw = drawing(41)
  const halves = (
    [
      [100, 1000],
      [1000, 10_000],
      [1000, 1000],
    ] as const
  ).map(([fronts, backs]): SimulatedFigure => {
    let [any, told] = [0, 0]
    for (let run = 0; run < runs; run++) {
      const found = distinctivePhrases(entriesOf(fronts, draw), entriesOf(backs, draw)).length
      if (found) any++
      told += found
    }
    return {
      what: `Phrases of ${fronts.toLocaleString('en')} entries against ${backs.toLocaleString('en')} of the same kind: something is told`,
      claimed: 'in at most 10%',
      measured: `${percent(any / runs)}, ${(told / runs).toFixed(2)} phrases a time`,
      how: `${runs} pairs, words as often as in language`,
    }
  })
  const news = [0, 1, 2, 5, 20, 80].map((back) => {
    let told = 0
    for (let run = 0; run < runs; run++) {
      const with8 = (entries: { id: number; text: string }[], n: number) =>
        entries.map((entry, i) => (i < n ? { ...entry, text: `${entry.text} zeppelin` } : entry))
      const found = distinctivePhrases(with8(entriesOf(100, draw), 8), with8(entriesOf(1000, draw), back))
      if (found.some(({ words }) => words.includes('zeppelin'))) told++
    }
    return `${back} of 1,000: ${percent(told / runs)}`
  })
  return [
    ...halves,
    {
      what: 'Phrases: a word in 8 of 100 entries is told, by how many of the others hold it',
      claimed: 'the rarer it was, the surer',
      measured: news.join(', '),
      how: `${runs} pairs each`,
    },
  ]
}
