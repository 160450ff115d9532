import { parentPort, workerData } from 'node:worker_threads'
import pg from 'pg'
import { chooseDoubts } from './chooseDoubts.ts'
import { learnAspects } from './learnAspects.ts'
import { findPhrases, knowTexts } from './findPhrases.ts'
import { learnFromAnswers } from './learnFromAnswers.ts'
import { learnLessons } from './learnLessons.ts'
import { tuneWatch } from './tuneWatch.ts'
import type { AskedElsewhere } from '../store/queries/shared/askedElsewhere.ts'
import type { TextQuestion } from './textMessages.ts'

/**
 * Reads and counts texts beside the server's own thread: a hundred thousand entries take seconds, in which nobody else
 * is to wait. It has a connection of its own, so that no text crosses between threads.
 */
pg.types.setTypeParser(pg.types.builtins.INT8, Number)
const pool = new pg.Pool({ connectionString: String(workerData), max: 2 })
// A connection that breaks while idle is made again for the next question.
pool.on('error', () => {})

async function read<Row>({ sql, values }: AskedElsewhere): Promise<Row[]> {
  const { rows } = await pool.query(sql, values)
  return rows as Row[]
}

function answerOf(question: TextQuestion) {
  switch (question.kind) {
    case 'phrases':
      return findPhrases(read, question)
    case 'tuner':
      return tuneWatch(read, question)
    case 'lessons':
      return learnLessons(read, question)
    case 'answers':
      return learnFromAnswers(read, question)
    case 'aspects':
      return learnAspects(read, question)
    case 'doubts':
      return chooseDoubts(read, question)
    case 'know':
      return knowTexts(read, question)
  }
}

parentPort?.on('message', async ({ id, question }: { id: number; question: TextQuestion }) => {
  try {
    const answer = await answerOf(question)
    parentPort?.postMessage({ id, answer })
  } catch (error) {
    parentPort?.postMessage({ id, error: error instanceof Error ? error.message : String(error) })
  }
})
