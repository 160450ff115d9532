import { learnAlikeAspects, type AlikeAspectLearning } from '@murrabel/core/learning'
import { joinTitle } from '@murrabel/core/text'
import type { Read } from './findPhrases.ts'
import type { AspectsQuestion } from './textMessages.ts'

/** Learns which words tell an aspect where none of its terms stands. */
export async function learnAspects(
  read: Read,
  { texts, aspects }: AspectsQuestion,
): Promise<AlikeAspectLearning[]> {
  if (!aspects.length) return []
  const rows = await read<{ title: string | null; text: string }>(texts)
  return learnAlikeAspects(
    rows.map(({ title, text }) => joinTitle(title, text)),
    aspects,
  )
}
