import { writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { wordContexts } from '../src/meaning/features.ts'
import { outputs, sentiments, wishes, type ModelFile } from '../src/meaning/model.ts'
import { buildExamples, dimensions, readVectors, type Vectors } from './examples.ts'
import { fit } from './fit.ts'
import { answerRight, figuresOf, heldBack, temperatureOf } from './measure.ts'
import { readTexts } from './readTexts.ts'

/** Trains the models of some languages, or of all: `npm run train -- en fr`. The same texts give the same model. */
const languages = process.argv.length > 2 ? process.argv.slice(2) : ['de', 'en', 'es', 'fr']

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

for (const language of languages) {
  // English, of which there is most, stands beside the others: what words mean is weighed once for all.
  const lessons = [...readTexts(language), ...(language === 'en' ? [] : readTexts('en'))]
  const { examples, names, features } = buildExamples(lessons, language)
  const { lessons: held, logits } = heldBack(examples, lessons, features, language)
  const temperatures = {
    sentiment: temperatureOf(logits, held, 'sentiment'),
    wish: temperatureOf(logits, held, 'wish'),
    answer: temperatureOf(logits, held, 'answer'),
  }
  const weights = fit(examples, features)
  const own = [...names.values()].flatMap((at) => [...weights.subarray(at * outputs, (at + 1) * outputs)])
  const weightScale = Number(
    (own.reduce((most, x) => Math.max(most, Math.abs(x)), 0) / 32_767).toPrecision(6),
  )
  const vectors = readVectors(language)
  const { leans, leanScales } = leansOf(vectors, weights)
  const file: ModelFile = {
    features: [...names.keys()].join('\t'),
    weights: base64(Int16Array.from(own, (x) => Math.round(x / weightScale))),
    weightScale,
    words: vectors.words.join(' '),
    leans: base64(leans),
    leanScales,
    temperatures,
  }
  const target = new URL(`../src/meaning/models/${language}.json`, import.meta.url)
  writeFileSync(fileURLToPath(target), JSON.stringify(file))
  console.log(`${language}: ${held.length} texts, ${names.size} features, temperatures`, temperatures)
  for (const head of ['sentiment', 'wish'] as const) {
    const { right, opposite, calibration, confusion } = figuresOf(logits, held, head, temperatures[head])
    console.log(`  ${head}: right ${right.toFixed(3)}, calibration error ${calibration.toFixed(3)}`)
    if (head === 'sentiment') console.log(`  said the opposite: ${opposite.toFixed(3)}`)
    const labels: readonly string[] = head === 'sentiment' ? sentiments : wishes
    confusion.forEach((row, i) => console.log(`    ${labels[i]!.padEnd(10)} ${row.join(' ')}`))
  }
  console.log(`  wants an answer: right ${answerRight(logits, held).toFixed(3)}`)
}
