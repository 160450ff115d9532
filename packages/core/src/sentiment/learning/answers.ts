import { featuresOf } from './features.ts'
import { caseScale, fitLogistic, keptWeights, round4, shareOf } from './logistic.ts'
import { groupsOf } from './groups.ts'
import { enoughEvidence, testInTime } from './testInTime.ts'

/** What became of something that was said to us: it was answered, or finished without a word. */
export interface AnswerLesson {
  text: string
  /** What the trained reader says of it: 0 to 1. */
  base: number
  answered: boolean
  thread: number
  /** Who wrote it, where that is known. */
  author?: number | null
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
  /** The latest fifth, each by what those before it taught. */
  byTime: { n: number; learnt: number; base: number }
  /** More right both ways, and enough evidence in time (`testInTime`). */
  better: boolean
}

/** So many that were answered, and so many that were finished without a word. */
export const answerLessonsNeeded = 15
const leastLessons = 2
const folds = 5
/** Lessons that are learnt from before the next are judged. */
const firstLessons = 20
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
 * Learns which things a team answers and which it finishes without a word, and measures it two ways: five folds, all that says
 * the same and all that one person wrote in one; and in time, each by what those before it taught. What was learnt counts as better
 * when it has more right both ways and the evidence in time is enough, however often one looks.
 */
export function learnAnswers(lessons: readonly AnswerLesson[]): AnswersLearning {
  const ordered = [...lessons].sort((a, b) => a.at - b.at || a.thread - b.thread)
  const byThread = { n: 0, learnt: 0, base: 0 }
  let byTime = { n: 0, learnt: 0, base: 0 }
  let evidence = 1
  const answered = ordered.filter((each) => each.answered).length
  if (Math.min(answered, ordered.length - answered) >= answerLessonsNeeded) {
    const groups = groupsOf(ordered)
    const isHeld = (i: number, fold: number) => groups[i]! % folds === fold
    for (let fold = 0; fold < folds; fold++) {
      const model = train(ordered.filter((_, i) => !isHeld(i, fold)))
      for (const lesson of ordered.filter((_, i) => isHeld(i, fold))) {
        byThread.n++
        byThread.learnt += Number(isRight(applyAnswers(lesson.text, lesson.base, model), lesson))
        byThread.base += Number(isRight(lesson.base, lesson))
      }
    }
    const { lately, ...found } = testInTime(ordered, {
      least: firstLessons,
      train,
      compare: (lesson, model) => ({
        learnt: isRight(applyAnswers(lesson.text, lesson.base, model), lesson),
        base: isRight(lesson.base, lesson),
        weight: 1,
      }),
    })
    byTime = lately
    evidence = found.evidence
  }
  return {
    model: train(ordered),
    n: ordered.length,
    answered,
    byThread,
    byTime,
    better: byThread.learnt > byThread.base && byTime.learnt > byTime.base && evidence >= enoughEvidence,
  }
}
