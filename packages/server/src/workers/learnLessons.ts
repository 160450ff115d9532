import { learn, settle, type Lesson } from '@murrabel/core/learning'
import { readSentiment } from '@murrabel/core/sentiment'
import { joinOwnTitle, loadLanguages } from '@murrabel/core/text'
import type { Read } from './findPhrases.ts'
import type { LessonsFound, LessonsQuestion } from './textMessages.ts'

interface Corrected {
  title: string | null
  text: string
  language: string | null
  sentiment: Lesson['sentiment']
}

/** Learns from corrections and measures what was learnt on corrections held back. */
export async function learnLessons(read: Read, question: LessonsQuestion): Promise<LessonsFound> {
  await loadLanguages()
  const { ownWords } = question
  const rows = await read<Corrected>(question.corrections)
  const { lessons, contradicting } = settle(
    rows.map(({ title, text, language, sentiment }): Lesson => {
      const whole = joinOwnTitle(title, text)
      const base = readSentiment(whole, { language: language ?? 'und', ownWords: [...ownWords] })
      return { text: whole, sentiment, base: { shares: base.shares, sentiment: base.sentiment } }
    }),
  )
  return { ...learn(lessons), contradicting }
}
