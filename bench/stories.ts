import { stories, StoryBook, storyPrint, type StoryPrint } from '@murrabel/core/stories'
import { drawing } from '../packages/core/simulations/figure.ts'
import { said } from '../packages/core/simulations/stories.ts'
import { msPerCall, times, us, type Figure } from './lib/measure.ts'

const live = 200_000
const copies = 16_000

/** Looking for the story of a text among many others, and many copies of one text. */
export function storiesFigures(): Figure[] {
  const draw = drawing(14)
  const texts = Array.from({ length: live }, () => said(draw))
  const prints = texts.map((text) => storyPrint(text)!)
  const fresh = Array.from({ length: 2000 }, () => said(draw))
  const freshPrints = fresh.map((text) => storyPrint(text)!)
  const lookUp = (known: readonly StoryPrint[]) => {
    const book = new StoryBook()
    known.forEach((print, id) => book.add(print, id))
    return msPerCall(() => freshPrints.forEach((print) => book.find(print))) / fresh.length
  }
  const half = lookUp(prints.slice(0, live / 2))
  const all = lookUp(prints)
  const words = msPerCall(() => fresh.forEach((text) => storyPrint(text))) / fresh.length
  const copied = (count: number) =>
    msPerCall(() => stories(Array.from({ length: count }, (_, id) => ({ id, text: texts[0]! }))))
  const [fewer, more] = [copied(copies / 2), copied(copies)]
  return [
    {
      name: `the story of a text, among ${live.toLocaleString('en')} others`,
      value: us(all),
      baseline: `its fingerprint: ${us(words)}; among half as many: ${us(half)}`,
      ratio: times(all / half),
      aim: 'under 50 µs',
    },
    {
      name: `${copies.toLocaleString('en')} copies of one text`,
      value: `${(more / 1000).toFixed(2)} s`,
      baseline: `half as many: ${(fewer / 1000).toFixed(2)} s`,
      ratio: times(more / fewer),
      aim: 'about 2 ×',
    },
  ]
}
