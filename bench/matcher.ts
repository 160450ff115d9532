import { compileWatches, type WatchQuery } from '@murrabel/core/watches'
import { msPerCall, times, us, type Figure } from './lib/measure.ts'
import { phrases, worldTexts } from './lib/texts.ts'

const termsPerWatch = 8

function queries(texts: readonly string[], count: number): WatchQuery[] {
  const terms = phrases(texts, count * termsPerWatch, 7)
  return Array.from({ length: count }, (_, id) => ({
    id,
    anyOf: terms.slice(id * termsPerWatch, (id + 1) * termsPerWatch).map((text) => ({ text })),
  }))
}

/** One automaton over all watches against one combined regular expression for each watch. */
export function matcherFigures(): Figure[] {
  const texts = worldTexts().slice(0, 1000)
  const thousand = queries(texts, 1000)
  const one = compileWatches(thousand)
  const two = compileWatches([
    ...thousand,
    ...queries([...texts].reverse(), 2000)
      .slice(1000)
      .map((q) => ({ ...q, id: Number(q.id) + 5000 })),
  ])
  const expressions = thousand.map(
    (q) =>
      new RegExp(
        `\\b(?:${q.anyOf!.map((t) => t.text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|')})\\b`,
        'iu',
      ),
  )
  const each = (match: (text: string) => void) => msPerCall(() => texts.forEach(match)) / texts.length
  const ours = each((text) => one.match({ text }))
  const doubled = each((text) => two.match({ text }))
  const few = texts.slice(0, 50)
  const theirs =
    msPerCall(() => few.forEach((text) => expressions.forEach((e) => e.test(text))), { rounds: 3 }) /
    few.length
  return [
    {
      name: 'matching 1,000 watches of 8 terms, a text',
      value: us(ours),
      baseline: `a regular expression each: ${us(theirs)}`,
      ratio: times(theirs / ours),
      aim: 'at least 20 ×',
    },
    {
      name: 'matching 2,000 watches of 8 terms, a text',
      value: us(doubled),
      baseline: `1,000 watches: ${us(ours)}`,
      ratio: times(doubled / ours),
      aim: 'at most 1.15 ×',
    },
  ]
}
