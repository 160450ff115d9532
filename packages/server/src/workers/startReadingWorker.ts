import type {
  LanguageAnswer,
  LanguageQuestion,
  ReadingAnswer,
  ReadingQuestion,
  RereadingAnswer,
  RereadingQuestion,
} from './readingMessages.ts'
import { thread } from './thread.ts'

export interface ReadingWorker {
  /** @throws WorkerEnded when the thread broke; any other error comes from an entry that cannot be read */
  read(question: ReadingQuestion): Promise<ReadingAnswer>
  /** Reads again what entries mean. */
  reread(question: RereadingQuestion): Promise<RereadingAnswer>
  /** Languages of texts, BCP 47. */
  languages(texts: readonly string[]): Promise<LanguageAnswer>
  /** Starts before the first question. */
  warm(): Promise<void>
  stop(): Promise<void>
}

/** Reads entries beside the server's own thread; starts with the first question. */
export function startReadingWorker(): ReadingWorker {
  const { send, stop } = thread(new URL('./readingThread.mjs', import.meta.url), null)
  const read = (question: ReadingQuestion) => send(question) as Promise<ReadingAnswer>
  return {
    read,
    reread: (question) => send(question) as Promise<RereadingAnswer>,
    languages: (texts) => send({ texts } satisfies LanguageQuestion) as Promise<LanguageAnswer>,
    async warm() {
      const teaching = {
        version: -1,
        ownWords: [],
        aspectTerms: [],
        model: null,
        answers: null,
        alikeAspects: [],
      }
      // What breaks is met by who asks.
      await read({ brandId: 0, teaching, entries: [] }).catch(() => {})
    },
    stop,
  }
}
