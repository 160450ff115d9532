import { describe, expect, test } from 'vitest'
import {
  applyAnswers,
  choosingDoubts,
  learnAlikeAspects,
  learnAnswers,
  reliabilityOf,
  type AnswerLesson,
} from '@murrabel/core/learning'
import { compileAspects } from '@murrabel/core/sentiment'
import { worded } from '../../simulations/wording.ts'
import { seeded } from '../support/random.ts'

const things = [
  'the boat',
  'the kiosk',
  'the deck',
  'the ramp',
  'the cabin',
  'the soup',
  'the tour',
  'the quay',
]
const lesson = (text: string, answered: boolean, i: number, base = 0.5): AnswerLesson => ({
  text,
  base,
  answered,
  thread: i,
  at: i * 60_000,
})

describe('what a team answers', () => {
  // It answers everything about dogs and finishes greetings from the fan club, whatever the trained reader says.
  const draw = seeded(2)
  const taught = Array.from({ length: 120 }, (_, i) =>
    i % 2
      ? lesson(worded(['dogs'], draw), true, i, 0.3)
      : lesson(worded(['fan club greets'], draw), false, i, 0.7),
  )
  test('is learnt, and both ways of holding back agree', () => {
    const found = learnAnswers(taught)
    expect(found).toMatchObject({ n: 120, answered: 60, better: true })
    expect(found.byThread.learnt).toBeGreaterThan(found.byThread.base)
    expect(found.byTime.learnt).toBeGreaterThan(found.byTime.base)
    expect(applyAnswers('Dogs on the lower deck', 0.4, found.model)).toBeGreaterThan(0.5)
    expect(applyAnswers('Fan club on the lower deck', 0.6, found.model)).toBeLessThan(0.5)
  })
  test('a text of nothing learnt is read as before, apart from how much the team answers at all', () => {
    const { model } = learnAnswers(taught)
    const of = (base: number) => applyAnswers('Zeppelin', base, model)
    expect(of(0.9)).not.toBe(of(0.1))
  })
  test('what changed lately is not claimed: the older lessons do not hold for the latest', () => {
    const turned = taught.map((each, i) => (i < 90 ? each : { ...each, answered: !each.answered }))
    const found = learnAnswers(turned)
    expect(found.byTime.learnt).toBeLessThanOrEqual(found.byTime.base)
    expect(found.better).toBe(false)
  })
  test('answers at random are not believed', () => {
    let believed = 0
    for (let run = 0; run < 25; run++) {
      const random = seeded(run + 100)
      const noise = Array.from({ length: 80 }, (_, i) =>
        lesson(`Crossing ${i} to ${things[i % 8]}`, random() < 0.5, i, random()),
      )
      if (learnAnswers(noise).better) believed++
    }
    expect(believed).toBeLessThanOrEqual(3)
  })
  test('with few lessons nothing is claimed', () => {
    expect(learnAnswers(taught.slice(0, 29))).toMatchObject({ byThread: { n: 0 }, better: false })
    const all = taught.map((each) => ({ ...each, answered: true }))
    expect(learnAnswers(all)).toMatchObject({ n: 120, answered: 120, byThread: { n: 0 }, better: false })
    expect(learnAnswers([])).toMatchObject({ n: 0, better: false })
  })
})

describe('the most useful doubts', () => {
  test('first of many alike, where learning needs two; what is told need not be asked again', () => {
    const doubts = [
      ...Array.from({ length: 9 }, (_, i) => ({
        id: i,
        text: `Gangway narrow again at berth ${i}`,
        confidence: 0.5,
      })),
      { id: 20, text: 'Puffin soup tastes peculiar', confidence: 0.5 },
      { id: 21, text: 'Harmonica evening cancelled', confidence: 0.55 },
    ]
    const chosen = choosingDoubts(doubts, 4)
    expect(chosen[0]!.id).toBeLessThan(9)
    expect(chosen[0]!.alike).toBe(8)
    expect(chosen.filter(({ id }) => id < 9)).toHaveLength(2)
    expect(chosen.map(({ id }) => id)).toEqual(expect.arrayContaining([20, 21]))
  })
  test('of what is alike to nothing, the least sure comes first', () => {
    const doubts = [0.58, 0.41, 0.5].map((confidence, id) => ({
      id,
      text: ['Lantern', 'Mooring', 'Whistle'][id]!,
      confidence,
    }))
    expect(choosingDoubts(doubts, 9).map(({ id }) => id)).toEqual([1, 2, 0])
    expect(choosingDoubts([], 5)).toEqual([])
  })
})

describe('reliability', () => {
  test('bins hold what was judged, with the share that is right', () => {
    const judged = Array.from({ length: 100 }, (_, i) => ({ confidence: 0.85, right: i < 80 }))
    const { bins, error } = reliabilityOf(judged)
    expect(bins).toHaveLength(1)
    expect(bins[0]).toMatchObject({ from: 0.8, to: 0.9, n: 100, right: 80 })
    expect(bins[0]!.low).toBeLessThan(0.8)
    expect(bins[0]!.high).toBeGreaterThan(0.8)
    expect(error).toBeCloseTo(0.05, 6)
  })
  test.each([0, 0.3, 1])('a confidence of %s lies in one bin', (confidence) => {
    const { bins } = reliabilityOf([{ confidence, right: true }])
    expect(bins.map(({ n }) => n)).toEqual([1])
  })
  test('without a judgement nothing is said', () => {
    expect(reliabilityOf([])).toEqual({ bins: [], error: null })
  })
  test('readings that are as sure as they are right are little apart', () => {
    const random = seeded(9)
    const judged = Array.from({ length: 5000 }, () => {
      const confidence = 0.35 + 0.64 * random()
      return { confidence, right: random() < confidence }
    })
    expect(reliabilityOf(judged).error).toBeLessThan(0.03)
  })
})

describe('aspects without their terms', () => {
  const aspects = [
    { id: 1, terms: [{ text: 'punctual' }, { text: 'late' }] },
    { id: 2, terms: [{ text: 'soup' }] },
  ]
  const draw = seeded(6)
  const texts = Array.from({ length: 160 }, (_, i) =>
    i % 4 === 0
      ? `${worded(['forty minutes', 'late'], draw, 5)}.`
      : i % 4 === 1
        ? `${worded(['soup', 'cold', 'spoon', 'salt'], draw, 5)}.`
        : i % 4 === 2
          ? `${worded(['nice view'], draw, 5)}.`
          : `${worded(['Perrin', 'his dog'], draw, 5)}.`,
  )
  test('are told by the words that stand beside the terms', () => {
    const learnt = learnAlikeAspects(texts, aspects)
    expect(learnt.map(({ aspect, n }) => [aspect, n])).toEqual([[1, 40], [2, 40]]) // prettier-ignore
    const alike = new Map(learnt.flatMap(({ aspect, model }) => (model ? [[aspect, model] as const] : [])))
    const read = (text: string) =>
      compileAspects(aspects, alike)
        .read(text)
        .map(({ aspect }) => aspect)
    expect(read('Forty minutes at the berth.')).toEqual([1])
    expect(new Set(read('A spoon of salt, and cold.'))).toEqual(new Set([2]))
    expect(read('A lighthouse and a dog.')).toEqual([])
    expect(compileAspects(aspects).read('Forty minutes at the berth.')).toEqual([])
  })
  test('a named aspect is not joined by one that is only alike', () => {
    const learnt = learnAlikeAspects(texts, aspects)
    const alike = new Map(learnt.flatMap(({ aspect, model }) => (model ? [[aspect, model] as const] : [])))
    expect(compileAspects(aspects, alike).read('Soup after forty minutes at the berth')).toMatchObject([
      { aspect: 2 },
    ])
  })
  test('where the words beside a term tell nothing, nothing is learnt', () => {
    const random = seeded(3)
    const words = ['tide', 'gull', 'rope', 'mast', 'bell', 'fog', 'lamp', 'net']
    const noise = Array.from({ length: 300 }, (_, i) => {
      const any = () => words[Math.floor(random() * words.length)]!
      return `${any()} ${any()} ${i % 4 ? any() : 'soup'} ${any()} ${i}.`
    })
    expect(learnAlikeAspects(noise, [aspects[1]!])[0]).toMatchObject({ n: 75, model: null })
  })
})
