import { Worker } from 'node:worker_threads'
import { FeedError } from '../connectors/index.ts'
import { Refusal } from '../problem.ts'

interface Answered {
  id: number
  answer?: unknown
  error?: string
  /** What was refused there is refused here. */
  refusal?: { code: Refusal['code']; more: Refusal['more'] }
  /** Why a document is no feed. */
  feed?: FeedError['reason']
}

export interface Thread {
  send(question: unknown): Promise<unknown>
  stop(): Promise<void>
}

/** The thread broke or was stopped: what it was asked can be asked again. */
export class WorkerEnded extends Error {
  override readonly name = 'WorkerEnded'
  readonly code = 'WORKER_ENDED'
}

/**
 * A thread of its own, with a connection of its own where it asks the database, started with the first question; one that
 * breaks is started again with the next.
 */
export function thread(file: URL, databaseUrl: string | null): Thread {
  const waiting = new Map<number, { resolve(answer: unknown): void; reject(error: Error): void }>()
  let worker: Worker | null = null
  let last = 0

  function failAll(which: Worker, error: Error): void {
    if (which !== worker) return
    worker = null
    for (const { reject } of waiting.values()) reject(error)
    waiting.clear()
  }
  function settle({ id, answer, error, refusal, feed }: Answered): void {
    const call = waiting.get(id)
    waiting.delete(id)
    if (refusal) call?.reject(new Refusal(refusal.code, refusal.more))
    else if (error !== undefined) call?.reject(feed ? new FeedError(feed) : new Error(error))
    else call?.resolve(answer)
  }
  function started(): Worker {
    if (worker) return worker
    const fresh = new Worker(file, { workerData: databaseUrl, execArgv: [] })
    fresh.on('message', settle)
    fresh.on('error', (error: Error) => failAll(fresh, new WorkerEnded(error.message, { cause: error })))
    fresh.on('exit', () => failAll(fresh, new WorkerEnded('the worker has ended')))
    fresh.unref()
    return (worker = fresh)
  }
  return {
    send: (question) =>
      new Promise((resolve, reject) => {
        const id = ++last
        waiting.set(id, { resolve, reject })
        started().postMessage({ id, question })
      }),
    async stop() {
      await worker?.terminate()
    },
  }
}
