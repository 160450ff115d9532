import { distinctiveNumbered, WordNumbers, type NumberedDoc } from '@murrabel/core/phrases'
import { placedWords } from '@murrabel/core/text'
import type { Known, KnowQuestion, PhrasesFound, PhrasesQuestion } from './textMessages.ts'
import type { AskedElsewhere } from '../store/queries/shared/askedElsewhere.ts'

interface TextRow {
  id: number
  text: string
  sentiment?: 'positive' | 'neutral' | 'negative' | 'unread'
}
export type Read = <Row>(query: AskedElsewhere) => Promise<Row[]>

/** Texts numbered so far: entries seldom change, and are asked about again and again. Emptied when it grows too large. */
const numberedLimit = 300_000
let numbers = new WordNumbers()
let known = new Map<number, { text: string; doc: NumberedDoc }>()

function numbered(rows: readonly TextRow[]): NumberedDoc[] {
  if (known.size + rows.length > numberedLimit) {
    numbers = new WordNumbers()
    known = new Map()
  }
  return rows.map(({ id, text }) => {
    const found = known.get(id)
    // Compared by length and ends: an edit that keeps both is not worth a full comparison.
    if (found && found.text.length === text.length && found.text.endsWith(text.slice(-40))) return found.doc
    const doc = numbers.number(text)
    known.set(id, { text, doc })
    return doc
  })
}

interface Side {
  rows: TextRow[]
  docs: NumberedDoc[]
}

/** Numbers texts before anybody asks. */
export async function knowTexts(read: Read, { texts }: KnowQuestion): Promise<Known> {
  return { texts: numbered(await read<TextRow>(texts)).length }
}

/** The phrases of the foreground against the background, and its entries ranked by them. */
export async function findPhrases(read: Read, question: PhrasesQuestion): Promise<PhrasesFound> {
  // One side is numbered while the database still reads the other.
  const reading = [question.front, question.back].map(async (query) => {
    const rows = await read<TextRow>(query)
    return { rows, docs: numbered(rows) }
  })
  const [{ rows: frontRows, docs: front }, { rows: backRows, docs: back }] = (await Promise.all(reading)) as [
    Side,
    Side,
  ]
  const phrases = distinctiveNumbered(
    { docs: front, ids: frontRows.map((r) => r.id) },
    { docs: back },
    numbers,
    {
      limit: question.limit,
      without: question.without,
    },
  )
  const scores = new Map<number, number>(frontRows.map(({ id }) => [id, 0]))
  for (const { z, entries } of phrases) for (const id of entries) scores.set(id, (scores.get(id) ?? 0) + z)
  const rows = new Map(frontRows.map((row) => [row.id, row]))
  return {
    phrases: phrases.map(({ entries, ...phrase }) => {
      const held = entries.flatMap((id) => rows.get(id) ?? [])
      const counts = { positive: 0, neutral: 0, negative: 0, unread: 0 }
      for (const { sentiment } of held) counts[sentiment ?? 'unread']++
      return {
        ...phrase,
        ...counts,
        written: asWritten(
          phrase.words,
          held.map(({ text }) => text),
        ),
      }
    }),
    front: frontRows.length,
    back: backRows.length,
    // Rows came newest first, and sorting keeps that among equals.
    ranked: frontRows.map(({ id }) => id).sort((a, b) => scores.get(b)! - scores.get(a)!),
  }
}

/** A phrase as most of a few texts write it. */
export function asWritten(words: readonly string[], texts: readonly string[]): string {
  const counts = new Map<string, number>()
  for (const text of texts.slice(0, 15)) {
    const placed = placedWords(text)
    const at = placed.findIndex((first, i) =>
      words.every(
        (word, k) => placed[i + k]?.word === word && placed[i + k]!.position === first.position + k,
      ),
    )
    if (at < 0) continue
    const written = text.slice(placed[at]!.start, placed[at + words.length - 1]!.end)
    counts.set(written, (counts.get(written) ?? 0) + 1)
  }
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? words.join(' ')
}
