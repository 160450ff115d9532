import { learnAnswers, type AnswerLesson, type AnswersLearning } from '@murrabel/core/learning'
import type { EntryKind } from '@murrabel/core/lens'
import { readMeaning, textKindOf } from '@murrabel/core/meaning'
import { joinOwnTitle, loadLanguages } from '@murrabel/core/text'
import type { Read } from './findPhrases.ts'
import type { AnswersQuestion } from './textMessages.ts'

interface Told {
  thread: number
  author: number | null
  title: string | null
  text: string
  language: string | null
  kind: EntryKind
  rating: number | null
  at: Date
  answered: boolean
}

/** Learns which things are answered, and measures what was learnt on what was held back. */
export async function learnFromAnswers(
  read: Read,
  { threads, ownWords }: AnswersQuestion,
): Promise<AnswersLearning> {
  await loadLanguages()
  const rows = await read<Told>(threads)
  return learnAnswers(
    rows.map(({ thread, author, title, text, language, kind, rating, at, answered }): AnswerLesson => {
      const whole = joinOwnTitle(title, text)
      const { wantsAnswer } = readMeaning(whole, {
        language: language ?? 'und',
        ownWords,
        stars: rating,
        kind: textKindOf(kind),
      })
      return { text: whole, base: wantsAnswer, answered, thread, author, at: at.getTime() }
    }),
  )
}
