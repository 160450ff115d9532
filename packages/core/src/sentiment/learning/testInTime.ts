import { groupsOf, type Grouped } from './groups.ts'

export interface Timed extends Grouped {
  /** When it was judged, epoch milliseconds. */
  at: number
}

/** How what was learnt and the base reading did on one lesson. */
export interface Compared {
  learnt: boolean
  base: boolean
  /** How much the lesson counts, 0 to 1. */
  weight: number
  /** It was drawn without regard to how it was read: evidence of its own, beside that of all. */
  isDrawn?: boolean
}

export interface TimeTest {
  /** Lessons that came later than what they were judged by. */
  n: number
  /** Right of them, by what was learnt and by the base reading. */
  learnt: number
  base: number
  /** Right by one of the two alone. */
  gained: number
  lost: number
  /** The same of the latest fifth of them. */
  lately: { n: number; learnt: number; base: number }
  /**
   * How many times likelier the differences are if what was learnt is better than if it is not: the mean of the evidence of all
   * lessons and of those that were drawn. If it is not better, it ever reaches 10 in at most one brand of ten, however
   * often one looks.
   */
  evidence: number
}

/** What was learnt is used from this evidence on. */
export const enoughEvidence = 10
/** It is learnt anew when there is so much more to learn from. */
const growth = 1.2
const latest = 0.2
const bets = [0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9]

/**
 * Judges learning as it would have been met: each lesson by what those before it taught, lessons that say the same as one of
 * these, or are by the same person, left out. The differences are bets at even odds on what was learnt (a mixture of test
 * martingales; Shafer, Shen, Vereshchagin and Vovk 2011, Ville 1939), so that looking after every lesson makes no
 * difference to how often it is wrong.
 *
 * @param least lessons that are learnt from first
 */
export function testInTime<Lesson extends Timed, Model>(
  lessons: readonly Lesson[],
  {
    least,
    train,
    compare,
  }: {
    least: number
    train: (lessons: readonly Lesson[]) => Model
    compare: (lesson: Lesson, model: Model) => Compared
  },
): TimeTest {
  const ordered = [...lessons].sort((a, b) => a.at - b.at || (a.text < b.text ? -1 : a.text > b.text ? 1 : 0))
  const groups = groupsOf(ordered)
  const seen = new Set<number>()
  const [ofAll, ofDrawn] = [newWealth(), newWealth()]
  const all: Compared[] = []
  for (let from = 0; from < ordered.length;) {
    const to = Math.min(ordered.length, Math.max(least, Math.ceil(from * growth)))
    if (from >= least) {
      const model = train(ordered.slice(0, from))
      for (let i = from; i < to; i++) {
        if (seen.has(groups[i]!)) continue
        seen.add(groups[i]!)
        const compared = compare(ordered[i]!, model)
        all.push(compared)
        bet(ofAll, compared)
        if (compared.isDrawn) bet(ofDrawn, compared)
      }
    }
    for (let i = from; i < to; i++) seen.add(groups[i]!)
    from = to
  }
  return {
    ...rightOf(all),
    gained: all.filter(({ learnt, base }) => learnt && !base).length,
    lost: all.filter(({ learnt, base }) => base && !learnt).length,
    lately: rightOf(all.slice(Math.floor(all.length * (1 - latest)))),
    evidence: (meanOf(ofAll) + meanOf(ofDrawn)) / 2,
  }
}

const newWealth = () => new Float64Array(bets.length).fill(1)
const meanOf = (wealth: Float64Array) => wealth.reduce((sum, each) => sum + each, 0) / wealth.length

function bet(wealth: Float64Array, { learnt, base, weight }: Compared): void {
  if (learnt === base) return
  const difference = learnt ? weight : -weight
  bets.forEach((stake, k) => (wealth[k]! *= 1 + stake * difference))
}

const rightOf = (all: readonly Compared[]) => ({
  n: all.length,
  learnt: all.filter(({ learnt }) => learnt).length,
  base: all.filter(({ base }) => base).length,
})
