import { sentimentBy } from './apply.ts'
import { train, type Lesson, type Model } from './train.ts'

export interface Learning {
  model: Model
  /** Lessons it rests on. */
  n: number
  /** Right on lessons that were held back, by what was learnt and by the base reading. */
  learnt: number
  base: number
  /** Lessons that only one of the two had right: learnt alone, base alone. */
  gained: number
  lost: number
  /** The learnt reading is better: more right, and not by chance alone. */
  better: boolean
}

export const lessonsNeeded = 10
const folds = 5
/** One-sided: chance that as many or more lessons were gained if neither reading were better. */
const chance = 0.1

/**
 * Learns from corrections and measures it by five-fold cross-validation. Folds are dealt by a hash of the text, so that
 * copies of one text lie in one fold and the same lessons give the same figures. What was learnt counts as better when
 * it has more of the held-back lessons right and a sign test on the differences (McNemar 1947, exact) agrees.
 */
export function learn(lessons: readonly Lesson[]): Learning {
  const model = train(lessons)
  let learnt = 0
  let base = 0
  let gained = 0
  let lost = 0
  if (lessons.length >= lessonsNeeded)
    for (let fold = 0; fold < folds; fold++) {
      const held = lessons.filter(({ text }) => foldOf(text) === fold)
      if (!held.length) continue
      const part = train(lessons.filter(({ text }) => foldOf(text) !== fold))
      for (const lesson of held) {
        const now = sentimentBy(lesson, part) === lesson.sentiment
        const before = lesson.base.sentiment === lesson.sentiment
        if (now) learnt++
        if (before) base++
        if (now && !before) gained++
        if (before && !now) lost++
      }
    }
  const better = learnt > base && signTest(gained, lost) < chance
  return { model, n: lessons.length, learnt, base, gained, lost, better }
}

/** One of five folds, by a hash of the text: copies of one text lie in one fold. */
export function foldOf(text: string): number {
  let h = 0x811c9dc5
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193)
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d)
  return ((h ^ (h >>> 12)) >>> 0) % folds
}

/** P(at least `wins` of wins + losses) at even odds. */
export function signTest(wins: number, losses: number): number {
  const n = wins + losses
  let term = 0.5 ** n
  let sum = 0
  for (let k = 0; k <= n; k++) {
    if (k >= wins) sum += term
    term = (term * (n - k)) / (k + 1)
  }
  return Math.min(1, sum)
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
