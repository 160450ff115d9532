import { confidenceBin, isDrawn, learn, settle, type Lesson } from '@murrabel/core/learning'
import type { EntryKind } from '@murrabel/core/lens'
import { textKindOf } from '@murrabel/core/meaning'
import { readSentiment } from '@murrabel/core/sentiment'
import { joinOwnTitle, loadLanguages } from '@murrabel/core/text'
import type { Read } from './findPhrases.ts'
import type { LessonsFound, LessonsQuestion } from './textMessages.ts'

interface Said {
  title: string | null
  text: string
  language: string | null
  kind: EntryKind
  rating: number | null
  author: number | null
  at: Date
}
interface Judged extends Said {
  sentiment: Lesson['sentiment']
  how: 'putRight' | 'drawn' | 'doubted'
  shown: boolean
  confidence: number | null
}

/** Learns from what people judged and left as it was, and measures what was learnt on what came later. */
export async function learnLessons(read: Read, question: LessonsQuestion): Promise<LessonsFound> {
  await loadLanguages()
  const { ownWords } = question
  const judged = await read<Judged>(question.corrections)
  const left = await read<Said & { id: number }>(question.left)
  const confidences = await read<{ confidence: number }>(question.confidences)
  // As it is read where it stands: with its stars and its kind.
  const readOf = ({ title, text, language, kind, rating, author, at }: Said) => {
    const whole = joinOwnTitle(title, text)
    const { shares, sentiment } = readSentiment(whole, {
      language: language ?? 'und',
      ownWords: [...ownWords],
      stars: rating,
      kind: textKindOf(kind),
    })
    return { text: whole, base: { shares, sentiment }, author, at: at.getTime() }
  }
  const weightOf = weightsOf(judged, confidences)
  const { lessons, contradicting } = settle(
    judged.map((row): Lesson => ({
      ...readOf(row),
      sentiment: row.sentiment,
      how: row.how,
      weight: weightOf(row),
    })),
  )
  const known = new Set(lessons.map(({ text }) => text.trim()))
  const kept = left.flatMap((row): Lesson[] => {
    const { base, ...rest } = readOf(row)
    if (base.sentiment === 'unread' || known.has(rest.text.trim())) return []
    return [{ ...rest, base, sentiment: base.sentiment, how: 'left', asked: isDrawn(row.id) }]
  })
  return { ...learn([...lessons, ...kept]), contradicting }
}

/**
 * Of what was shown to be judged on the page Teach, unsure readings are drawn more often than they come: each counts by how many of all readings are as
 * sure, and none more than one.
 */
function weightsOf(judged: readonly Judged[], confidences: readonly { confidence: number }[]) {
  const those = judged.filter(({ shown }) => shown)
  const shareIn = (all: readonly { confidence: number | null }[], bin: number) =>
    all.filter(({ confidence }) => confidence !== null && confidenceBin(confidence) === bin).length /
    Math.max(1, all.length)
  return ({ shown, confidence }: Judged): number => {
    if (!shown || confidence === null || !confidences.length) return 1
    const bin = confidenceBin(confidence)
    return Math.min(1, shareIn(confidences, bin) / Math.max(1e-9, shareIn(those, bin)))
  }
}
