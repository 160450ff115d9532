import { placedWords } from '../../text/index.ts'

export interface Feature {
  /** A word, or two side by side joined by a space. */
  name: string
  start: number
  end: number
}

/** Words and word pairs of a text, each once, with the first place where it stands. */
export function featuresOf(text: string): Feature[] {
  const words = placedWords(text)
  const found = new Map<string, Feature>()
  const put = (name: string, start: number, end: number) => {
    if (!found.has(name)) found.set(name, { name, start, end })
  }
  words.forEach(({ word, position, start, end }, i) => {
    put(word, start, end)
    const next = words[i + 1]
    if (next && next.position === position + 1) put(`${word} ${next.word}`, start, next.end)
  })
  return [...found.values()]
}
