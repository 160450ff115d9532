import { describe, expect, test } from 'vitest'
import {
  applyModel,
  groupsOf,
  isDrawn,
  learn,
  settle,
  testInTime,
  type Lesson,
  type TaughtSentiment,
} from '@murrabel/core/learning'
import { readSentiment } from '@murrabel/core/sentiment'
import { handled, saying } from '../../simulations/learning.ts'
import { worded } from '../../simulations/wording.ts'
import { seeded } from '../support/random.ts'

const moods: readonly TaughtSentiment[] = ['negative', 'neutral', 'positive']
const random = seeded(11)
const lesson = (text: string, sentiment: Lesson['sentiment'], at: number): Lesson => ({
  text,
  sentiment,
  base: saying('neutral'),
  at,
})

// A brand for which "proper rolling" is what people love about the old boat, and a "cork" is what they hate.
const taught = Array.from({ length: 40 }, (_, i) => [
  lesson(worded(['proper rolling'], random), 'positive', 3 * i),
  lesson(worded(['cork'], random), 'negative', 3 * i + 1),
]).flat()
/** What the team answered and left as it was. */
const left = Array.from({ length: 90 }, (_, i): Lesson => ({
  text: worded([], random),
  sentiment: 'neutral',
  base: saying('neutral'),
  how: 'left',
  at: i + 0.5,
}))

describe('learning', () => {
  test('what the brand means by a word, what came later agreeing', () => {
    const found = learn([...taught, ...left])
    expect(found).toMatchObject({ n: 80, confirmed: 90, better: true })
    expect(found.tested).toBeGreaterThan(100)
    expect(found.learnt).toBeGreaterThan(found.base + 20)
    expect(found.evidence).toBeGreaterThan(1000)
    const text = 'Proper rolling again'
    const reading = applyModel(text, readSentiment(text), found.model)
    expect(reading.sentiment).toBe('positive')
    expect(reading.score).toBeCloseTo(reading.shares[2] - reading.shares[0], 10)
    expect(reading.spans.some((s) => text.slice(s.start, s.end).includes('rolling'))).toBe(true)
  })
  test('leaves texts alone that hold nothing learnt', () => {
    const { model } = learn([...taught, ...left])
    const base = readSentiment('Wonderful sunset')
    expect(applyModel('Wonderful sunset', base, model)).toEqual(base)
  })
  test('the same lessons in any order give the same model', () => {
    const again = seeded(4)
    const shuffled = [...taught, ...left].sort(() => again() - 0.5)
    expect(learn(shuffled)).toEqual(learn([...taught, ...left]))
  })
  test.each([0, 1, 9])('with %s corrections nothing is claimed', (n) =>
    expect(learn([...taught.slice(0, n), ...left])).toMatchObject({
      tested: 0,
      learnt: 0,
      base: 0,
      better: false,
    }),
  )
  test('corrections alone are no sample: the base reading is wrong in all of them', () => {
    expect(learn(taught)).toMatchObject({ n: 80, confirmed: 0, better: false, tested: 0 })
  })
  test('what would break readings that nobody put right is not used', () => {
    // "Boat" stands in all texts; only those misread are put right.
    const put = Array.from({ length: 30 }, (_, i): Lesson => ({
      text: worded(['boat'], random),
      base: saying('positive'),
      sentiment: 'negative',
      how: 'putRight',
      at: 4 * i,
    }))
    const fine = Array.from({ length: 120 }, (_, i): Lesson => ({
      text: worded(['boat'], random),
      base: saying('positive'),
      sentiment: 'positive',
      how: 'left',
      at: i,
    }))
    const found = learn([...put, ...fine])
    expect(found.better).toBe(false)
    const text = worded(['boat'], random)
    expect(
      applyModel(text, { ...saying('positive'), score: 0.4, confidence: 0.6, spans: [] }, found.model)
        .sentiment,
    ).toBe('positive')
  })
  test('labels at random are not believed, however often one looks', () => {
    let believed = 0
    for (let run = 0; run < 10; run++) {
      const draw = seeded(run)
      const any = () => moods[Math.floor(draw() * 3)]!
      const noise = Array.from({ length: 120 }, (_, at): Lesson => ({
        text: worded([], draw),
        base: saying(any()),
        sentiment: any(),
        how: 'drawn',
        at,
      }))
      for (let n = 20; n <= noise.length; n += 10)
        if (learn(noise.slice(0, n)).better) {
          believed++
          break
        }
    }
    expect(believed).toBeLessThanOrEqual(2)
  })
  test('copies with changes do not teach each other: the truth of chance is a third', () => {
    const draw = seeded(5)
    const copies = Array.from({ length: 60 }, () => {
      const words = worded([], draw, 12).split(' ')
      const sentiment = moods[Math.floor(draw() * 3)]!
      return Array.from({ length: 5 }, (_, i): Lesson => ({
        text: words.map((word, k) => (k === 2 * i ? 'otherwise' : word)).join(' '),
        base: saying(moods[Math.floor(draw() * 3)]!),
        sentiment,
        how: 'drawn',
        at: draw(),
      }))
    }).flat()
    const { learnt, tested, better } = learn(copies)
    expect(tested).toBeLessThanOrEqual(60)
    expect(tested).toBeGreaterThan(25)
    expect(learnt / tested).toBeLessThan(0.55)
    expect(better).toBe(false)
  })
  test('whoever was asked and said nothing speaks, too', () => {
    const asked = left.map((each, i) => (i % 3 ? each : { ...each, asked: true }))
    const drawn = taught.map((each, i): Lesson => (i % 3 ? each : { ...each, how: 'drawn' }))
    // What was drawn and misread is evidence of its own; what was drawn and left speaks against changing it.
    expect(learn([...drawn, ...left]).evidence).toBeGreaterThan(learn([...taught, ...left]).evidence)
    expect(learn([...drawn, ...asked]).evidence).toBe(learn([...drawn, ...left]).evidence)
    const wrong = asked.map((each, i) => (i % 2 ? each : { ...each, text: worded(['cork'], random) }))
    const told = (lessons: readonly Lesson[]) => learn([...drawn, ...lessons]).evidence
    expect(told(wrong)).toBeLessThan(told(wrong.map((each) => ({ ...each, asked: false }))))
  })
  test('label and score never disagree in sign', () => {
    const draw = seeded(12)
    for (let i = 0; i < 300; i++) {
      const text = worded([], draw, 4)
      const weight = () => 6 * (draw() - 0.5)
      const weights = Object.fromEntries(
        text
          .split(' ')
          .map((word): [string, [number, number, number]] => [word, [weight(), weight(), weight()]]),
      )
      const base = { ...saying(moods[i % 3]!), score: 0, confidence: 0.6, spans: [] }
      const { sentiment, score } = applyModel(text, base, { weights })
      if (sentiment === 'positive') expect(score).toBeGreaterThan(0)
      if (sentiment === 'negative') expect(score).toBeLessThan(0)
    }
  })
  test('one of twenty-five is asked about, whatever it says', () => {
    const asked = Array.from({ length: 50_000 }, (_, i) => i + 1).filter(isDrawn)
    expect(asked.length / 50_000).toBeGreaterThan(0.037)
    expect(asked.length / 50_000).toBeLessThan(0.043)
    // Neither one after the other nor at even distance.
    expect(new Set(asked.slice(1).map((id, i) => id - asked[i]!)).size).toBeGreaterThan(60)
  })
  test('when it is used, it reads texts that nobody judged better', () => {
    const draw = seeded(21)
    const told = { negative: 'corky', neutral: 'ordinaire', positive: 'shipshape' }
    const textOf = (truth: TaughtSentiment) => worded(draw() < 0.5 ? [told[truth]] : [], draw)
    const { model } = learn(handled(400, { draw, right: 0.75, putRight: 0.6, drawn: 0.2, textOf }).lessons)
    const fresh = handled(300, { draw, right: 0.75, putRight: 0, textOf })
    const right = (reader: (each: Lesson) => TaughtSentiment | 'unread') =>
      fresh.lessons.filter((each, i) => reader(each) === fresh.truths[i]).length
    const now = right(
      ({ text, base }) =>
        applyModel(text, { ...base, score: 0, confidence: 0.6, spans: [] }, model).sentiment,
    )
    expect(now).toBeGreaterThan(right(({ base }) => base.sentiment) + 10)
  })
})

describe('what must not be judged by each other', () => {
  test('texts in nearly the same words, figures aside, and those of one person', () => {
    const texts = [
      'Trip 7 was late at the pier',
      'Kind crew',
      'trip 12 was late, at the pier!',
      'The soup',
      'Thanks',
    ]
    expect(groupsOf(texts.map((text) => ({ text })))).toEqual([0, 1, 0, 2, 3])
    expect(groupsOf(texts.map((text, i) => ({ text, author: [1, 2, 3, 3, null][i] })))).toEqual([
      0, 1, 0, 0, 2,
    ])
    expect(groupsOf([])).toEqual([])
  })
  test('time grows with the texts, not with their pairs', () => {
    const draw = seeded(8)
    const texts = Array.from({ length: 20_000 }, () => ({ text: worded([], draw) }))
    expect(new Set(groupsOf(texts)).size).toBeGreaterThan(19_000)
  })
  test('what was seen of a group is not judged, and what does not differ is no evidence', () => {
    const lessons = ['a b c d e', 'f g h i j', 'a b c d e', 'k l m n o', 'k l m n o'].map((text, at) => ({
      text,
      at,
    }))
    const judged: string[] = []
    const found = testInTime(lessons, {
      least: 2,
      train: () => null,
      compare: ({ text }) => {
        judged.push(text)
        return { learnt: true, base: true, weight: 1 }
      },
    })
    expect(judged).toEqual(['k l m n o'])
    expect(found).toEqual({
      n: 1,
      learnt: 1,
      base: 1,
      gained: 0,
      lost: 0,
      evidence: 1,
      lately: { n: 1, learnt: 1, base: 1 },
    })
  })
  test('what is weighed little is little evidence', () => {
    const lessons = Array.from({ length: 30 }, (_, at) => ({
      text: `word${'abcdefghijklmnopqrstuvwxyzABCD'[at]}`,
      at,
    }))
    const evidence = (weight: number, isDrawn = false) =>
      testInTime(lessons, {
        least: 5,
        train: () => null,
        compare: () => ({ learnt: true, base: false, weight, isDrawn }),
      }).evidence
    expect(evidence(1)).toBeGreaterThan(evidence(0.2))
    expect(evidence(0)).toBe(1)
    expect(evidence(1, true)).toBeGreaterThan(1.9 * evidence(1))
  })
})

describe('corrections that contradict each other', () => {
  test('the sentiment most people gave stands; a tie teaches nothing', () => {
    const of = (text: string, sentiment: TaughtSentiment) => lesson(text, sentiment, 0)
    const found = settle([
      of('A', 'positive'),
      of('A', 'positive'),
      of('A', 'negative'),
      of('B', 'positive'),
      of('B', 'negative'),
      of('C', 'neutral'),
    ])
    expect(found.contradicting).toBe(2)
    expect(found.lessons.map(({ text, sentiment }) => [text, sentiment])).toEqual([
      ['A', 'positive'],
      ['C', 'neutral'],
    ])
  })
})
