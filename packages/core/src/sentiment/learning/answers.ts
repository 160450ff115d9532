import { featuresOf } from './features.ts'
import { caseScale, fitLogistic, keptWeights, round4, shareOf } from './logistic.ts'
import { foldOf, signTest } from './validate.ts'

/** What became of something that was said to us: it was answered, or finished without a word. */
export interface AnswerLesson {
  text: string
  /** What the trained reader says of it: 0 to 1. */
  base: number
  answered: boolean
  thread: number
  /** Epoch milliseconds. */
  at: number
}

/** What a team has shown of which things it answers: log-odds on top of the trained reader's. */
export interface AnswersModel {
  /** Added always. */
  bias: number
  /** How far the trained reader's log-odds are believed. */
  trust: number
  weights: Record<string, number>
}

export interface AnswersLearning {
  model: AnswersModel
  /** Lessons it rests on, and how many of them were answered. */
  n: number
  answered: number
  /** Held-back lessons by thread: how many what was learnt has right, and the trained reader alone. */
  byThread: { n: number; learnt: number; base: number }
  /** The latest fifth, by what the earlier ones taught. */
  byTime: { n: number; learnt: number; base: number }
  /** More right both ways, and by thread not by chance alone. */
  better: boolean
}

/** So many that were answered, and so many that were finished without a word. */
export const answerLessonsNeeded = 15
const leastLessons = 2
const folds = 5
const latest = 0.2
/** One-sided: chance that as many or more were gained if neither were better. */
const chance = 0.1
/** Base readings are never believed further than this. */
const mostLogit = 4

const logitOf = (share: number) =>
  Math.max(-mostLogit, Math.min(mostLogit, Math.log(Math.max(1e-6, share) / Math.max(1e-6, 1 - share))))

/** Words and word pairs on top of the trained reader. */
function train(lessons: readonly AnswerLesson[]): AnswersModel {
  const counts = new Map<string, number>()
  const each = lessons.map(({ text }) => featuresOf(text).map(({ name }) => name))
  for (const names of each) for (const name of names) counts.set(name, (counts.get(name) ?? 0) + 1)
  const names = [...counts].flatMap(([name, n]) => (n >= leastLessons ? [name] : [])).sort()
  const number = new Map(names.map((name, i) => [name, i]))
  const { bias, trust, weights } = fitLogistic(
    lessons.map(({ base, answered }, i) => ({
      features: each[i]!.flatMap((name) => number.get(name) ?? []),
      offset: logitOf(base),
      is: answered,
    })),
    names.length,
  )
  return { bias: round4(bias), trust: round4(trust), weights: keptWeights(names, weights) }
}

/**
 * Whether an answer is wanted, 0 to 1, after what was learnt.
 *
 * @param base what the trained reader says, 0 to 1
 */
export function applyAnswers(text: string, base: number, { bias, trust, weights }: AnswersModel): number {
  const known = featuresOf(text).flatMap(({ name }) => (Object.hasOwn(weights, name) ? [weights[name]!] : []))
  const sum = known.reduce((all, weight) => all + weight, 0)
  return shareOf(bias + trust * logitOf(base) + sum * caseScale(known.length))
}

const isRight = (share: number, { answered }: AnswerLesson) => share >= 0.5 === answered

/**
 * Learns which things a team answers and which it finishes without a word, and measures it two ways: five folds, all of a
 * thread and all copies of a text in one; and the latest fifth by what the earlier ones taught. What was learnt counts as
 * better when it has more right both ways and, by thread, a sign test on the differences (McNemar 1947, exact) agrees.
 */
export function learnAnswers(lessons: readonly AnswerLesson[]): AnswersLearning {
  const ordered = [...lessons].sort((a, b) => a.at - b.at || a.thread - b.thread)
  const byThread = { n: 0, learnt: 0, base: 0 }
  const byTime = { n: 0, learnt: 0, base: 0 }
  let gained = 0
  let lost = 0
  const answered = ordered.filter((each) => each.answered).length
  if (Math.min(answered, ordered.length - answered) >= answerLessonsNeeded) {
    for (let fold = 0; fold < folds; fold++) {
      const model = train(ordered.filter(({ text }) => foldOf(text) !== fold))
      for (const lesson of ordered.filter(({ text }) => foldOf(text) === fold)) {
        const now = isRight(applyAnswers(lesson.text, lesson.base, model), lesson)
        const before = isRight(lesson.base, lesson)
        byThread.n++
        byThread.learnt += Number(now)
        byThread.base += Number(before)
        gained += Number(now && !before)
        lost += Number(before && !now)
      }
    }
    const from = Math.floor(ordered.length * (1 - latest))
    const known = new Set(ordered.slice(0, from).map(({ text }) => text.trim()))
    const model = train(ordered.slice(0, from))
    for (const lesson of ordered.slice(from).filter(({ text }) => !known.has(text.trim()))) {
      byTime.n++
      byTime.learnt += Number(isRight(applyAnswers(lesson.text, lesson.base, model), lesson))
      byTime.base += Number(isRight(lesson.base, lesson))
    }
  }
  return {
    model: train(ordered),
    n: ordered.length,
    answered,
    byThread,
    byTime,
    better: byThread.learnt > byThread.base && byTime.learnt > byTime.base && signTest(gained, lost) < chance,
  }
}
