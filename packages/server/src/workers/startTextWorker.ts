import type { TextAnswer, TextQuestion } from './textMessages.ts'
import { thread } from './thread.ts'

export interface TextWorker {
  /** The same question within a few seconds is answered from memory, unless that was forgotten. */
  ask<Q extends TextQuestion>(question: Q): Promise<TextAnswer<Q>>
  /** The texts, or what stands in the watches, may be others now. */
  forget(): void
  stop(): Promise<void>
}

/** A page asks for its phrases more than once: the map, the list by distinctiveness, its next page. */
const keepMs = 10_000

/** Counts texts beside the server's own thread. */
export function startTextWorker(databaseUrl: string): TextWorker {
  const { send, stop } = thread(new URL('./textThread.mjs', import.meta.url), databaseUrl)
  const answers = new Map<string, { at: number; answer: Promise<unknown> }>()
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
    forget: () => answers.clear(),
    stop,
  }
}
