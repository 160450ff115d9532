import { describe, expect, test } from 'vitest'
import { applyModel, learn, settle, type Lesson } from '@murrabel/core/learning'
import { readSentiment } from '@murrabel/core/sentiment'
import { seeded } from '../support/random.ts'

const lesson = (text: string, sentiment: Lesson['sentiment']): Lesson => ({
  text,
  sentiment,
  base: readSentiment(text),
})
const places = [
  'Dunmarrow',
  'Port Ellery',
  'Inchgarth',
  'Selwick',
  'Northmoor',
  'the pier',
  'the quay',
  'the deck',
]

// A brand for which "rolling" is what people love about the old boat, and "smooth" is the fast cats.
const taught = places.flatMap((place, i) => [
  lesson(`Proper rolling all the way from ${place}, number ${i}`, 'positive'),
  lesson(`A cork boat day at ${place}, trip ${i}`, 'negative'),
])

describe('learning', () => {
  test('what the brand means by a word, held-back corrections agreeing', () => {
    const found = learn(taught)
    expect(found).toMatchObject({ n: 16, better: true })
    expect(found.learnt).toBeGreaterThan(found.base)
    const text = 'Proper rolling again'
    const reading = applyModel(text, readSentiment(text), found.model)
    expect(reading.sentiment).toBe('positive')
    expect(reading.score).toBeCloseTo(reading.shares[2] - reading.shares[0], 10)
    expect(reading.spans.some((s) => text.slice(s.start, s.end).includes('rolling'))).toBe(true)
  })
  test('leaves texts alone that hold nothing learnt', () => {
    const { model } = learn(taught)
    const base = readSentiment('Wonderful sunset')
    expect(applyModel('Wonderful sunset', base, model)).toEqual(base)
  })
  test('the same corrections in any order give the same model', () => {
    const random = seeded(4)
    const shuffled = [...taught].sort(() => random() - 0.5)
    expect(learn(shuffled)).toEqual(learn(taught))
  })
  test('corrections at random are not believed', () => {
    let believed = 0
    for (let run = 0; run < 20; run++) {
      const random = seeded(run)
      const noise = Array.from({ length: 40 }, (_, i) =>
        lesson(
          `Crossing ${i} from ${places[i % 8]} with ${['tea', 'dog', 'bike', 'car'][i % 4]}`,
          random() < 0.5 ? 'positive' : 'negative',
        ),
      )
      // The base has none of these right, so only the noise itself can be learnt; guessing one side would be right by half.
      if (
        learn(
          noise.map((l) => ({
            ...l,
            base:
              random() < 0.5
                ? { shares: [0.3, 0.3, 0.4], sentiment: 'positive' }
                : { shares: [0.4, 0.3, 0.3], sentiment: 'negative' },
          })),
        ).better
      )
        believed++
    }
    expect(believed).toBeLessThanOrEqual(4)
  })
  test.each([0, 1, 9])('with %s corrections nothing is claimed', (n) =>
    expect(learn(taught.slice(0, n))).toMatchObject({ learnt: 0, base: 0, better: false }),
  )
})

describe('corrections that contradict each other', () => {
  test('the sentiment most people gave stands; a tie teaches nothing', () => {
    const found = settle([
      lesson('A', 'positive'),
      lesson('A', 'positive'),
      lesson('A', 'negative'),
      lesson('B', 'positive'),
      lesson('B', 'negative'),
      lesson('C', 'neutral'),
    ])
    expect(found.contradicting).toBe(2)
    expect(found.lessons.map(({ text, sentiment }) => [text, sentiment])).toEqual([
      ['A', 'positive'],
      ['C', 'neutral'],
    ])
  })
})
