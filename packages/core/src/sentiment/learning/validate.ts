import { sentimentBy } from './apply.ts'
import { enoughEvidence, testInTime } from './testInTime.ts'
import { train, type Lesson, type Model } from './train.ts'

export interface Learning {
  model: Model
  /** Lessons that somebody judged. */
  n: number
  /** Readings that came after what was learnt and were put right, confirmed or left as they were. */
  tested: number
  /** Right of them, by what was learnt and by the base reading; what was left as it was counts as right. */
  learnt: number
  base: number
  /** Right by one of the two alone. */
  gained: number
  lost: number
  /** Readings that were confirmed, or left as they were by whoever answered or finished them. */
  confirmed: number
  /** Times likelier that what was learnt is better than that it is not (`testInTime`). */
  evidence: number
  /** What was learnt is used: enough evidence, and it breaks next to nothing that was confirmed. */
  better: boolean
}

export const lessonsNeeded = 10
/** Without so many readings that somebody found right nobody can say what learning breaks. */
export const confirmedNeeded = 20
/** Lessons that are learnt from before the next are judged. */
const firstLessons = 8
/** What nobody put right is right in eight of ten cases: of a change there so much is loss, less what it may have put right. */
const leftRight = 0.8
const leftWeight = leftRight - (1 - leftRight) / 2
/** At most this part of what was confirmed may be read otherwise. */
const mostBroken = 0.1

/**
 * Learns from what people put right, and judges it on an honest sample: what was put right, what was shown to be judged, and what
 * the team answered or finished and left as it was, each by what those before it taught. Corrections alone would be no sample:
 * there the base reading is wrong by construction.
 */
export function learn(lessons: readonly Lesson[]): Learning {
  const judged = lessons.filter(({ how }) => how !== 'left')
  const confirmed = lessons.filter(({ base, sentiment }) => base.sentiment === sentiment).length
  const none = { tested: 0, learnt: 0, base: 0, gained: 0, lost: 0, evidence: 1, better: false }
  const known = { model: train(lessons), n: judged.length, confirmed }
  if (judged.length < lessonsNeeded || confirmed < confirmedNeeded) return { ...known, ...none }
  const { n, lately, ...found } = testInTime(
    lessons.map((lesson, i) => ({ ...lesson, at: lesson.at ?? i })),
    {
      least: firstLessons,
      train,
      compare: (lesson, model) => ({
        learnt: sentimentBy(lesson, model) === lesson.sentiment,
        base: lesson.base.sentiment === lesson.sentiment,
        weight: lesson.how === 'left' ? leftWeight : (lesson.weight ?? 1),
        // Whoever was asked and said nothing found nothing wrong: without them only what is misread would speak.
        isDrawn: lesson.how === 'drawn' || lesson.asked === true,
      }),
    },
  )
  const better =
    found.evidence >= enoughEvidence &&
    found.learnt > found.base &&
    // What was so once and is no longer.
    lately.learnt >= lately.base &&
    found.lost <= mostBroken * found.base
  return { ...known, ...found, tested: n, better }
}

/** Corrections of one text that disagree: the sentiment most people gave; none on a tie. */
export function settle(lessons: readonly Lesson[]): { lessons: Lesson[]; contradicting: number } {
  const byText = new Map<string, Lesson[]>()
  for (const lesson of lessons) {
    const key = lesson.text.trim()
    byText.set(key, [...(byText.get(key) ?? []), lesson])
  }
  const settled: Lesson[] = []
  let contradicting = 0
  for (const same of byText.values()) {
    const counts = new Map<Lesson['sentiment'], number>()
    for (const { sentiment } of same) counts.set(sentiment, (counts.get(sentiment) ?? 0) + 1)
    if (counts.size > 1) contradicting++
    const [first, second] = [...counts].sort((a, b) => b[1] - a[1])
    if (!second || first![1] > second[1]) settled.push({ ...same[0]!, sentiment: first![0] })
  }
  return { lessons: settled, contradicting }
}
