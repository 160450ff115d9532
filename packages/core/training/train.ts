import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { wordContexts } from '../src/meaning/features.ts'
import {
  outputs,
  sentiments,
  wishes,
  type ModelFile,
  type SharedFile,
  type WeightsFile,
} from '../src/meaning/model.ts'
import { copiesOf } from './copies.ts'
import {
  buildExamples,
  conceptNames,
  dimensions,
  phrasesOf,
  readVectors,
  sayingNames,
  weightsBy,
  type Vectors,
} from './examples.ts'
import { fitInThreads } from './fitInThreads.ts'
import { answerRight, figuresOf, judged, partsOf, temperatureOf } from './measure.ts'
import { readTexts, textKinds, trainedLanguages } from './readTexts.ts'

/**
 * Trains the models of all languages at once: `npm run train`; `npm run train -- --measure` only says how good they would be.
 * The same texts give the same models.
 */
const languages = trainedLanguages

const base64 = (array: Int8Array | Int16Array) =>
  Buffer.from(array.buffer, array.byteOffset, array.byteLength).toString('base64')

/** What each word of the vectors leans to, by context and output. */
function leansOf(vectors: Vectors, weights: Float64Array): { leans: Int8Array; leanScales: number[] } {
  const words = vectors.words.length
  const leans = new Int8Array(wordContexts.length * words * outputs)
  const leanScales: number[] = []
  wordContexts.forEach((_, context) => {
    for (let k = 0; k < outputs; k++) {
      const exact = vectors.words.map((_, i) => {
        let sum = 0
        for (let d = 0; d < dimensions; d++)
          sum += vectors.values[i * dimensions + d]! * weights[(context * dimensions + d) * outputs + k]!
        return sum
      })
      const scale = exact.reduce((most, x) => Math.max(most, Math.abs(x)), 1e-9) / 127
      exact.forEach((x, i) => (leans[(context * words + i) * outputs + k] = Math.round(x / scale)))
      leanScales.push(Number(scale.toPrecision(6)))
    }
  })
  return { leans, leanScales }
}

const lessons = languages.flatMap((language) => readTexts(language))
const built = buildExamples(lessons)
const copies = copiesOf(built.concepts, lessons)
console.log(`${copies.size} texts say what one of another language and trade says`)
const parts = partsOf(lessons, copies)
const onlyMeasured = process.argv.includes('--measure')
const sets = [...(onlyMeasured ? [] : [lessons.map((_, i) => i)]), ...parts.map(({ seen }) => seen)]
const fitted = await fitInThreads(built.examples, built, sets)
const weights = onlyMeasured ? null : fitted.shift()!
const everything = judged(built.examples, lessons, { parts, weights: fitted, counts: built.fresh })
if (weights) writeShared(weights)

for (const language of languages) {
  const of = everything.lessons.flatMap((lesson, i) => (lesson.language === language ? [i] : []))
  const held = of.map((i) => everything.lessons[i]!)
  const logits = of.map((i) => everything.logits[i]!)
  const fresh = of.map((i) => everything.weights[i]!)
  const temperatures = {
    sentiment: temperatureOf(logits, held, 'sentiment', fresh),
    wish: temperatureOf(logits, held, 'wish', fresh),
    answer: temperatureOf(logits, held, 'answer', fresh),
  }
  const known = weights && writeModel(language, weights, temperatures)
  console.log(`${language}: ${held.length} texts, ${known ?? '?'} features, temperatures`, temperatures)
  for (const head of ['sentiment', 'wish'] as const) {
    const { confusion, ...ours } = figuresOf(logits, held, head, temperatures[head])
    for (const [name, { right, opposite, calibration }] of [
      ['ours', ours],
      ['as fresh', figuresOf(logits, held, head, temperatures[head], fresh)],
    ] as const) {
      const said = head === 'sentiment' ? `, said the opposite ${opposite.toFixed(3)}` : ''
      console.log(
        `  ${head}, ${name}: right ${right.toFixed(3)}${said}, calibration error ${calibration.toFixed(3)}`,
      )
    }
    const labels: readonly string[] = head === 'sentiment' ? sentiments : wishes
    confusion.forEach((row, i) => console.log(`    ${labels[i]!.padEnd(10)} ${row.join(' ')}`))
  }
  for (const kind of textKinds) {
    const ofKind = held.flatMap((lesson, i) => (lesson.kind === kind ? [i] : []))
    const { texts, right, opposite } = figuresOf(
      ofKind.map((i) => logits[i]!),
      ofKind.map((i) => held[i]!),
      'sentiment',
      temperatures.sentiment,
    )
    console.log(
      `  ${kind}: ${texts} texts, right ${right.toFixed(2)}, said the opposite ${opposite.toFixed(2)}`,
    )
  }
  console.log(`  wants an answer: right ${answerRight(logits, held).toFixed(3)}`)
}

// Asked for now, since it opens the models that were written above.
if (weights) (await import('./measureFresh.ts')).tellFresh()

/** @param language whose own weights are asked for; null for those that all share */
function weightsFile(weights: Float64Array, language: string | null): WeightsFile & { count: number } {
  const features = weightsBy(built, weights, language)
  const own = [...features.values()].flatMap((each) => [...each])
  const weightScale = Number(
    (own.reduce((most, x) => Math.max(most, Math.abs(x)), 0) / 32_767).toPrecision(6),
  )
  return {
    features: [...features.keys()].join('\t'),
    weights: base64(Int16Array.from(own, (x) => Math.round(x / weightScale))),
    weightScale,
    count: features.size,
  }
}

function write(name: string, file: object): void {
  const target = new URL(`../src/meaning/models/${name}.json`, import.meta.url)
  writeFileSync(fileURLToPath(target), JSON.stringify(file))
}

function writeShared(weights: Float64Array): void {
  const { count, ...file } = weightsFile(weights, null)
  const concepts = conceptNames().join(' ')
  write('shared', { ...file, concepts, ...sayingNames() } satisfies SharedFile)
  console.log(`${count} features are the same in all languages`)
}

/** @returns how many features of its own it has */
function writeModel(
  language: string,
  weights: Float64Array,
  temperatures: ModelFile['temperatures'],
): number {
  const { count, ...own } = weightsFile(weights, language)
  const vectors = readVectors(language)
  const { leans, leanScales } = leansOf(vectors, weights)
  const file: ModelFile = {
    ...own,
    words: vectors.words.join(' '),
    leans: base64(leans),
    leanScales,
    conceptOfWord: base64(Int16Array.from(vectors.concepts)),
    phrases: phrasesOf(language),
    temperatures,
  }
  write(language, file)
  return count
}
