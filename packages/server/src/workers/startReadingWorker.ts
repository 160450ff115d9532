import type { ReadingAnswer, ReadingQuestion } from './readingMessages.ts'
import { thread } from './thread.ts'

export interface ReadingWorker {
  /** @throws WorkerEnded when the thread broke; any other error comes from an entry that cannot be read */
  read(question: ReadingQuestion): Promise<ReadingAnswer>
  stop(): Promise<void>
}

/** Reads entries beside the server's own thread; starts with the first question. */
export function startReadingWorker(): ReadingWorker {
  const { send, stop } = thread(new URL('./readingThread.mjs', import.meta.url), null)
  return { read: (question) => send(question) as Promise<ReadingAnswer>, stop }
}
