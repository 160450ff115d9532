import { describe, expect, test, vi } from 'vitest'
import { modelFiles, sharedWeights } from '../../src/meaning/models/index.ts'
import { outputs, sentiments } from '../../src/meaning/model.ts'
import { readMeaning } from '@murrabel/core/meaning'
import { copiesOf } from '../../training/copies.ts'
import { buildExamples, phrasesOf, sayingNames, weightsBy } from '../../training/examples.ts'
import { fit, logitsOf, pullsOf, type Example } from '../../training/fit.ts'
import { figuresOf, heldBack, temperatureOf } from '../../training/measure.ts'
import { freshFigures } from '../../training/measureFresh.ts'
import { readTexts, trainedLanguages, type Lesson } from '../../training/readTexts.ts'

// Thousands of texts are read, and small worlds trained on.
vi.setConfig({ testTimeout: 60_000 })

const languages = Object.keys(modelFiles)

describe('the texts', () => {
  test.each(languages)('%s: of many trades and all moods and wishes, each once', (language) => {
    const lessons = readTexts(language)
    expect(new Set(lessons.map(({ trade }) => trade)).size).toBeGreaterThan(20)
    for (let k = 0; k < 3; k++)
      expect(lessons.filter(({ sentiment }) => sentiment === k).length / lessons.length).toBeGreaterThan(0.25)
    expect(new Set(lessons.map(({ wish }) => wish)).size).toBe(7)
    expect(new Set(lessons.map(({ kind }) => kind)).size).toBe(6)
  })

  test('the models were trained on them as they are now', () => {
    const built = buildExamples(trainedLanguages.flatMap((language) => readTexts(language)))
    const names = (language: string | null) =>
      [...weightsBy(built, new Float64Array(built.features * outputs), language).keys()].join('\t')
    for (const language of languages)
      expect(names(language) === modelFiles[language]!.features, language).toBe(true)
    expect(names(null) === sharedWeights.features).toBe(true)
    for (const language of languages)
      expect(modelFiles[language]!.phrases === phrasesOf(language), language).toBe(true)
    const { sayings, pairs } = sharedWeights
    expect({ sayings, pairs }).toEqual(sayingNames())
  })

  test('there are as many as were asked for', () => {
    expect(readTexts('en').length).toBeGreaterThanOrEqual(3000)
    for (const language of ['fr', 'de', 'es'])
      expect(readTexts(language).length, language).toBeGreaterThanOrEqual(1500)
  })

  test.each(languages)('%s: the model reads again what it was taught', (language) => {
    const lessons = readTexts(language)
    const right = lessons.filter(
      ({ text, sentiment }) => readMeaning(text, { language }).sentiment.label === sentiments[sentiment],
    )
    // What misleads the lists on purpose counts less in training.
    expect(right.length / lessons.length).toBeGreaterThan(0.87)
  })
})

describe('fresh texts', () => {
  test.each(languages)('%s: none of them was trained on', (language) => {
    const trained = new Set(readTexts(language).map(({ text }) => text.toLowerCase()))
    const fresh = readTexts(language, 'fresh')
    expect(fresh.length).toBeGreaterThan(250)
    expect(fresh.filter(({ text }) => trained.has(text.toLowerCase())).map(({ text }) => text)).toEqual([])
  })

  test.each(languages)('%s: most are read rightly, and few as the opposite', (language) => {
    const figures = freshFigures(language)
    const mean = (of: (each: (typeof figures)[number]) => number) =>
      figures.reduce((sum, each) => sum + of(each) * each.texts, 0) /
      figures.reduce((sum, { texts }) => sum + texts, 0)
    expect(mean(({ right }) => right)).toBeGreaterThan(0.83)
    expect(mean(({ opposite }) => opposite)).toBeLessThan(0.14)
    expect(mean(({ wishRight }) => wishRight)).toBeGreaterThan(0.8)
  })
})

/** Examples of one feature that tells the sentiment in `share` of the cases, and one that tells nothing. */
function worldOf(n: number, share: number): { examples: Example[]; lessons: Lesson[] } {
  let seed = 3
  const random = () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647
  const lessons = Array.from({ length: n }, (_, i): Lesson => ({
    text: String(i),
    language: 'en',
    trade: `trade ${i % 12}`,
    kind: 'review',
    sentiment: Math.floor(random() * 3),
    wish: Math.floor(random() * 7),
    wantsAnswer: random() < 0.5 ? 0 : 1,
  }))
  const examples = lessons.map(({ sentiment, wish, wantsAnswer }): Example => {
    const targets = new Float64Array(outputs)
    targets[sentiment] = 1
    targets[3 + wish] = 1
    targets[10] = wantsAnswer
    const told = random() < share ? sentiment : Math.floor(random() * 3)
    return { ids: Int32Array.from([told, 3]), values: Float32Array.from([1, random()]), targets }
  })
  return { examples, lessons }
}

describe('training', () => {
  test('finds what tells, and the same examples give the same weights', () => {
    const { examples, lessons } = worldOf(600, 0.9)
    const weights = fit(examples, { features: 4 })
    expect(fit(examples, { features: 4 })).toEqual(weights)
    const right = examples.filter((example, i) => {
      const three = [...logitsOf(example, weights).subarray(0, 3)]
      return three.indexOf(Math.max(...three)) === lessons[i]!.sentiment
    })
    expect(right.length / examples.length).toBeGreaterThan(0.85)
  })

  test('what tells is pulled less than what does not, and the numbers of word vectors alike', () => {
    const { examples } = worldOf(600, 0.9)
    const pulls = pullsOf(examples, { features: 4 })
    for (let k = 0; k < 3; k++) {
      // Features 0 to 2 stand for a sentiment each; 3 is there in all.
      for (let feature = 0; feature < 3; feature++)
        expect(pulls[feature * outputs + k]!).toBeLessThan(pulls[3 * outputs + k]!)
      const own = pulls[k * outputs + k]!
      for (let wish = 3; wish < 10; wish++) expect(pulls[k * outputs + wish]!).toBeGreaterThan(own)
    }
    const dense = pullsOf(examples, { features: 4, dense: 2 })
    expect(new Set(dense.subarray(0, 2 * outputs)).size).toBe(1)
    expect(dense.subarray(2 * outputs)).toEqual(pulls.subarray(2 * outputs))
    const little = pullsOf(examples, { features: 4, little: new Set([1]) })
    const harder = [...little].map((pull, i) => pull / pulls[i]!)
    expect(harder).toEqual(harder.map((_, i) => (i >= outputs && i < outputs + 3 ? 4 : 1)))
  })

  test('held back by trade: where nothing tells, it is right by chance alone and says so', () => {
    const { examples, lessons } = worldOf(900, 0)
    const { logits, lessons: held } = heldBack(examples, lessons, { features: 4 })
    expect(held).toHaveLength(900)
    const figures = figuresOf(logits, held, 'sentiment', temperatureOf(logits, held, 'sentiment'))
    expect(figures.right).toBeGreaterThan(0.25)
    expect(figures.right).toBeLessThan(0.42)
    expect(figures.calibration).toBeLessThan(0.08)
  })

  test('confidence is the share that is right', () => {
    const { examples, lessons } = worldOf(1200, 0.7)
    const { logits, lessons: held } = heldBack(examples, lessons, { features: 4 })
    const figures = figuresOf(logits, held, 'sentiment', temperatureOf(logits, held, 'sentiment'))
    expect(figures.right).toBeGreaterThan(0.7)
    expect(figures.calibration).toBeLessThan(0.05)
    expect(figures.confusion.flat().reduce((a, b) => a + b)).toBe(1200)
  })

  test('a text of a trade is never judged by a model that has seen the trade', () => {
    // The feature names the trade, and the trade the sentiment: known to whoever peeks.
    const { lessons } = worldOf(240, 0)
    const secret = lessons.map((lesson) => ({ ...lesson, sentiment: Number(lesson.trade.slice(6)) % 3 }))
    const examples = secret.map(({ sentiment, trade }): Example => {
      const targets = new Float64Array(outputs)
      targets[sentiment] = 1
      return { ids: Int32Array.from([Number(trade.slice(6))]), values: Float32Array.from([1]), targets }
    })
    const { logits, lessons: held } = heldBack(examples, secret, { features: 12 })
    expect(figuresOf(logits, held, 'sentiment', 1).right).toBeLessThan(0.6)
    expect(logits.every((each) => each.every((x) => x === 0))).toBe(true)
  })

  test('nor by one that has seen what says the same in another language', () => {
    // Every text has a copy in another trade, and nothing but the copy tells what it is.
    const { lessons } = worldOf(240, 0)
    const told = lessons.map((lesson, i) => ({ ...lesson, sentiment: Math.floor(i / 2) % 3 }))
    const examples = told.map(({ sentiment }, i): Example => {
      const targets = new Float64Array(outputs)
      targets[sentiment] = 1
      return { ids: Int32Array.from([Math.floor(i / 2)]), values: Float32Array.from([1]), targets }
    })
    const copies = new Map(told.map((_, i) => [i, [i % 2 ? i - 1 : i + 1]]))
    const right = (held: ReturnType<typeof heldBack>) =>
      figuresOf(held.logits, held.lessons, 'sentiment', 1).right
    expect(right(heldBack(examples, told, { features: 120 }))).toBeGreaterThan(0.8)
    const held = heldBack(examples, told, { features: 120 }, copies)
    expect(held.logits.every((each) => each.every((x) => x === 0))).toBe(true)
  })
})

describe('copies', () => {
  const words = [1, 2, 3, 4, 5, 6]
  const lesson = (language: string, trade: string) => ({ language, trade })

  test.each([
    ['another language and trade', lesson('de', 'b'), words, true],
    ['the same trade, which is held back with it', lesson('de', 'a'), words, false],
    ['the same language', lesson('en', 'b'), words, false],
    ['half of the words', lesson('de', 'b'), [...words.slice(0, 4), 7, 8], true],
    ['less than half of them', lesson('de', 'b'), [...words.slice(0, 3), 7, 8, 9], false],
    ['fewer words than tell', lesson('de', 'b'), words.slice(0, 4), false],
  ])('%s', (_, other, otherWords, isCopy) => {
    const found = copiesOf([new Set(words), new Set(otherWords)], [lesson('en', 'a'), other])
    expect([...found]).toEqual(
      isCopy
        ? [
            [1, [0]],
            [0, [1]],
          ]
        : [],
    )
  })
})
