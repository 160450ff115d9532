import { Worker } from 'node:worker_threads'
import type { TextAnswer, TextQuestion } from './textMessages.ts'

export interface TextWorker {
  /** The same question within a few seconds is answered from memory. */
  ask<Q extends TextQuestion>(question: Q): Promise<TextAnswer<Q>>
  stop(): Promise<void>
}

/** A page asks for its phrases more than once: the map, the list by tellingness, its next page. */
const keepMs = 10_000

/** Starts the worker with the first question; one that breaks is started again with the next. */
export function startTextWorker(databaseUrl: string): TextWorker {
  const waiting = new Map<number, { resolve(answer: unknown): void; reject(error: Error): void }>()
  let worker: Worker | null = null
  let last = 0
  const answers = new Map<string, { at: number; answer: Promise<unknown> }>()

  function send(question: TextQuestion): Promise<unknown> {
    return new Promise((resolve, reject) => {
      const id = ++last
      waiting.set(id, { resolve, reject })
      started().postMessage({ id, question })
    })
  }

  function failAll(error: Error): void {
    worker = null
    for (const { reject } of waiting.values()) reject(error)
    waiting.clear()
  }
  function started(): Worker {
    if (worker) return worker
    const fresh = new Worker(new URL('./textThread.mjs', import.meta.url), {
      workerData: databaseUrl,
      execArgv: [],
    })
    fresh.on('message', ({ id, answer, error }: { id: number; answer?: unknown; error?: string }) => {
      const call = waiting.get(id)
      waiting.delete(id)
      if (error === undefined) call?.resolve(answer)
      else call?.reject(new Error(error))
    })
    fresh.on('error', failAll)
    fresh.on('exit', () => failAll(new Error('the text worker has ended')))
    fresh.unref()
    return (worker = fresh)
  }

  return {
    ask<Q extends TextQuestion>(question: Q) {
      const key = JSON.stringify(question)
      const now = Date.now()
      for (const [name, { at }] of answers) if (now - at > keepMs) answers.delete(name)
      const known = answers.get(key)
      if (known) return known.answer as Promise<TextAnswer<Q>>
      const answer = send(question)
      answers.set(key, { at: now, answer })
      answer.catch(() => answers.delete(key))
      return answer as Promise<TextAnswer<Q>>
    },
    async stop() {
      await worker?.terminate()
    },
  }
}
