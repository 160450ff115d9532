import type { FileAnswer, FileQuestion } from './fileMessages.ts'
import { thread } from './thread.ts'

export interface FileWorker {
  /** @throws Refusal, FeedError for documents that cannot be read */
  ask<Q extends FileQuestion>(question: Q): Promise<FileAnswer<Q>>
  stop(): Promise<void>
}

/** Reads outside documents beside the server's own thread. */
export function startFileWorker(databaseUrl: string): FileWorker {
  const { send, stop } = thread(new URL('./fileThread.mjs', import.meta.url), databaseUrl)
  return {
    ask: <Q extends FileQuestion>(question: Q) => send(question) as Promise<FileAnswer<Q>>,
    stop,
  }
}
