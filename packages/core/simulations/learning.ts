import { learn, type Lesson, type TaughtSentiment } from '../src/sentiment/learning/index.ts'
import { sentimentBy } from '../src/sentiment/learning/apply.ts'
import { drawing, percent, type SimulatedFigure } from './figure.ts'
import { worded } from './wording.ts'

const moods: readonly TaughtSentiment[] = ['negative', 'neutral', 'positive']
const moodAt = (i: number) => moods[i % 3]!
/** A base reading that says this with the confidence it has on most texts. */
export const saying = (sentiment: TaughtSentiment): Lesson['base'] => ({
  sentiment,
  shares: moods.map((mood) => (mood === sentiment ? 0.6 : 0.2)) as [number, number, number],
})

/**
 * Readings of a brand in their order: the base reading is right in so many cases; somebody puts right a part of what is wrong, and
 * everything else is answered and left as it is.
 */
export function handled(
  n: number,
  {
    draw,
    right,
    putRight,
    drawn = 0,
    textOf,
  }: {
    draw: () => number
    right: number
    /** Part of the misread ones that is put right. */
    putRight: number
    /** Part of all that is drawn to be judged. */
    drawn?: number
    textOf: (truth: TaughtSentiment) => string
  },
): { lessons: Lesson[]; truths: TaughtSentiment[] } {
  const truths: TaughtSentiment[] = []
  const lessons = Array.from({ length: n }, (_, at): Lesson => {
    const truth = moodAt(Math.floor(draw() * 3))
    truths.push(truth)
    const said = draw() < right ? truth : moodAt(moods.indexOf(truth) + 1 + Math.floor(draw() * 2))
    const base = saying(said)
    const text = textOf(truth)
    if (draw() < drawn) return { text, base, at, sentiment: truth, how: 'drawn' }
    const isPut = said !== truth && draw() < putRight
    return { text, base, at, sentiment: isPut ? truth : said, how: isPut ? 'putRight' : 'left' }
  })
  return { lessons, truths }
}

/** How often learning is used that should not be, looked at again and again; and what it does to texts nobody judged. */
export function learningFigures(runs = 30): SimulatedFigure[] {
  return [randomLabels(2 * runs), misreadAlone(runs), somethingToLearn(runs), changedCopies(runs)]
}

/** Whether learning is ever used when it is looked at after each few lessons. */
const everUsed = (lessons: readonly Lesson[], every: number) => {
  for (let n = every; n <= lessons.length; n += every) if (learn(lessons.slice(0, n)).better) return true
  return false
}

function randomLabels(runs: number): SimulatedFigure {
  const draw = drawing(31)
  let used = 0
  for (let run = 0; run < runs; run++) {
    const lessons = Array.from({ length: 200 }, (_, at): Lesson => ({
      text: worded([], draw),
      base: saying(moodAt(Math.floor(draw() * 3))),
      sentiment: moodAt(Math.floor(draw() * 3)),
      how: 'drawn',
      at,
    }))
    if (everUsed(lessons, 5)) used++
  }
  return {
    what: 'Learning from labels at random, looked at after every five of 200: ever used',
    claimed: 'at most 10%',
    measured: percent(used / runs),
    how: `${runs} brands`,
  }
}

function misreadAlone(runs: number): SimulatedFigure {
  const draw = drawing(32)
  let used = 0
  for (let run = 0; run < runs; run++) {
    // Nothing in the words tells the mood; what is put right was misread by chance.
    const { lessons } = handled(600, { draw, right: 0.8, putRight: 0.5, textOf: () => worded([], draw) })
    if (everUsed(lessons, 60)) used++
  }
  return {
    what: 'Learning where only what was misread is put right, and there is nothing to learn: ever used',
    claimed: 'at most 10%',
    measured: percent(used / runs),
    how: `${runs} brands of 600 readings, eight of ten right, half of the others put right`,
  }
}

function somethingToLearn(runs: number): SimulatedFigure {
  const draw = drawing(33)
  const told = { negative: 'corky', neutral: 'ordinaire', positive: 'shipshape' }
  const textOf = (truth: TaughtSentiment) => worded(draw() < 0.4 ? [told[truth]] : [], draw)
  const measured = [0, 0.1, 0.2].map((drawn) => {
    let [used, better, right, before] = [0, 0, 0, 0]
    for (let run = 0; run < runs; run++) {
      const found = learn(handled(600, { draw, right: 0.75, putRight: 0.5, drawn, textOf }).lessons)
      if (found.better) used++
      const fresh = handled(400, { draw, right: 0.75, putRight: 0, textOf })
      const now = fresh.lessons.filter(
        ({ text, base }, i) => sentimentBy({ text, base }, found.model) === fresh.truths[i],
      ).length
      const then = fresh.lessons.filter(({ base }, i) => base.sentiment === fresh.truths[i]).length
      if (now > then) better++
      right += now
      before += then
    }
    const told = `${percent(right / runs / 400)} right of texts nobody judged instead of ${percent(before / runs / 400)}`
    return `${percent(drawn)} drawn: used in ${percent(used / runs)}, better in ${percent(better / runs)}, ${told}`
  })
  return {
    what: 'Learning where words of the brand tell the mood of four texts in ten',
    claimed: 'nothing',
    measured: measured.join('; '),
    how: `${runs} brands of 600 readings, three of four right, half of the others put right`,
  }
}

function changedCopies(runs: number): SimulatedFigure {
  const draw = drawing(34)
  let [measured, tested, used] = [0, 0, 0]
  for (let run = 0; run < runs; run++) {
    // Forty texts with a mood by chance, each told six times with a word changed.
    const lessons = Array.from({ length: 40 }, () => {
      const words = worded([], draw, 12).split(' ')
      const sentiment = moodAt(Math.floor(draw() * 3))
      return Array.from({ length: 6 }, (): Lesson => {
        const copy = [...words]
        copy[Math.floor(draw() * copy.length)] = worded([], draw, 1)
        return {
          text: copy.join(' '),
          base: saying(moodAt(Math.floor(draw() * 3))),
          sentiment,
          how: 'drawn',
          at: draw(),
        }
      })
    }).flat()
    const found = learn(lessons)
    measured += found.learnt
    tested += found.tested
    if (found.better) used++
  }
  return {
    what: 'Learning from changed copies of texts whose mood is chance: right, as measured',
    claimed: 'a third, which is true',
    measured: `${percent(measured / tested)}; used in ${percent(used / runs)}`,
    how: `${runs} brands, 40 texts told six times`,
  }
}
