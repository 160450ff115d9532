import { choosingDoubts } from '@murrabel/core/learning'
import { joinOwnTitle } from '@murrabel/core/text'
import type { Read } from './findPhrases.ts'
import type { DoubtsFound, DoubtsQuestion } from './textMessages.ts'

interface Doubted {
  id: number
  title: string | null
  text: string
  confidence: number
}

/** Chooses among readings in doubt those whose settling tells most. */
export async function chooseDoubts(read: Read, { doubts, most }: DoubtsQuestion): Promise<DoubtsFound> {
  const rows = await read<Doubted>(doubts)
  const chosen = choosingDoubts(
    rows.map(({ id, title, text, confidence }) => ({ id, text: joinOwnTitle(title, text), confidence })),
    most,
  )
  return { chosen, n: rows.length }
}
