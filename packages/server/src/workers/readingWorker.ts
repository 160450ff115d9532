import { parentPort } from 'node:worker_threads'
import { loadLanguages } from '@murrabel/core/text'
import { readEntry, storedReading } from '../services/analysis/readEntry.ts'
import { compileTeaching, type Teaching } from '../services/analysis/teaching.ts'
import type { ReadingAnswer, ReadingQuestion } from './readingMessages.ts'

/** Reads entries beside the server's own thread, which meanwhile stores and answers. It asks no database. */
const compiled = new Map<number, Teaching>()

/** What a brand has taught, made ready when it changes. */
function teachingOf({ brandId, teaching }: ReadingQuestion): Teaching {
  const known = compiled.get(brandId)
  if (known?.version === teaching.version) return known
  const fresh = compileTeaching(teaching)
  compiled.set(brandId, fresh)
  return fresh
}

async function answerOf(question: ReadingQuestion): Promise<ReadingAnswer> {
  await loadLanguages()
  const teaching = teachingOf(question)
  return question.entries.map((entry) => storedReading(readEntry(entry, teaching)))
}

parentPort?.on('message', async ({ id, question }: { id: number; question: ReadingQuestion }) => {
  try {
    parentPort?.postMessage({ id, answer: await answerOf(question) })
  } catch (error) {
    parentPort?.postMessage({ id, error: error instanceof Error ? error.message : String(error) })
  }
})
