import { parentPort } from 'node:worker_threads'
import { detectLanguage, loadLanguages } from '@murrabel/core/text'
import {
  readEntry,
  readEntryMeaning,
  storedMeaning,
  storedReading,
  type StoredMeaning,
} from '../services/analysis/readEntry.ts'
import { compileTeaching, type Teaching } from '../services/analysis/teaching.ts'
import type {
  LanguageAnswer,
  LanguageQuestion,
  ReadingAnswer,
  ReadingQuestion,
  RereadingAnswer,
  RereadingQuestion,
} from './readingMessages.ts'

/** Reads entries beside the server's own thread, which meanwhile stores and answers. It asks no database. */
const compiled = new Map<number, Teaching>()

/** What a brand has taught, made ready when it changes. */
function teachingOf({ brandId, teaching }: Pick<ReadingQuestion, 'brandId' | 'teaching'>): Teaching {
  const known = compiled.get(brandId)
  if (known?.version === teaching.version) return known
  const fresh = compileTeaching(teaching)
  compiled.set(brandId, fresh)
  return fresh
}

type Question = ReadingQuestion | RereadingQuestion | LanguageQuestion

async function answerOf(question: Question): Promise<ReadingAnswer | RereadingAnswer | LanguageAnswer> {
  if ('texts' in question) {
    await loadLanguages()
    return question.texts.map(detectLanguage)
  }
  const teaching = teachingOf(question)
  if ('again' in question) return question.again.map((entry) => meaningOf(entry, teaching))
  await loadLanguages()
  return question.entries.map((entry) => storedReading(readEntry(entry, teaching)))
}

function meaningOf(entry: RereadingQuestion['again'][number], teaching: Teaching): StoredMeaning | null {
  try {
    return storedMeaning(readEntryMeaning(entry, entry.language ?? 'und', teaching))
  } catch {
    return null
  }
}

interface Asked {
  id: number
  question: Question
}

parentPort?.on('message', async ({ id, question }: Asked) => {
  try {
    parentPort?.postMessage({ id, answer: await answerOf(question) })
  } catch (error) {
    parentPort?.postMessage({ id, error: error instanceof Error ? error.message : String(error) })
  }
})
