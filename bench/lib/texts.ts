import { generateWorld } from '@murrabel/demo'

/** Texts of the demo world at a fixed date: the same in every run. */
export function worldTexts(entries = 4000): string[] {
  const world = generateWorld({ end: Date.parse('2026-11-25T12:00:00Z'), entries })
  const notes = world.lanternpage.flatMap((line) => (line.op === 'note' ? [line.content] : []))
  const reviews = world.wherabout.flatMap((line) => (line.op === 'review' && line.text ? [line.text] : []))
  return [...notes, ...reviews]
}

/** A vocabulary and phrases of it, for watches. */
export function phrases(texts: readonly string[], count: number, seed: number): string[] {
  const words = [...new Set(texts.flatMap((t) => t.toLowerCase().match(/\p{L}{4,}/gu) ?? []))]
  let state = seed
  const next = () => (state = (state * 1103515245 + 12345) & 0x7fffffff)
  const word = () => words[next() % words.length]!
  // A quarter are met in texts; the others, like most of what is listened for, hardly ever.
  const rare = () => `${word()}${word().slice(0, 3)}`
  return Array.from({ length: count }, (_, i) =>
    i % 4 === 0 ? `${word()} ${word()}` : i % 4 === 1 ? `${rare()} ${word()}` : rare(),
  )
}
