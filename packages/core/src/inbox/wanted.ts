import type { Wish } from '../meaning/model.ts'

/** What those who wait for us want, taken together. */
export type Wanted = 'answer' | 'nothing' | 'unknown'

/** What asks for an answer by itself. */
const asking: readonly Wish[] = ['question', 'request', 'complaint', 'fault']

/** One text that waits. */
export interface Waiting {
  /** Null where it is not told. */
  wish: Wish | null
  /** 0 to 1; null where it is not told. */
  wantsAnswer: number | null
}

/** Less than this is asking for nothing. */
const hardlyWanted = 0.4

/**
 * Whether an answer is wanted by what came since our last one: one question or complaint among kind words is enough. Kind
 * words, offers and chat want none as long as the reading says so clearly.
 *
 * @example wantedOf([{ wish: 'praise', wantsAnswer: 0.1 }]) // 'nothing'
 */
export function wantedOf(waiting: readonly Waiting[]): Wanted {
  if (!waiting.length) return 'unknown'
  if (waiting.some(({ wish }) => wish !== null && asking.includes(wish))) return 'answer'
  const nothing = waiting.every(
    ({ wish, wantsAnswer }) => wish !== null && wantsAnswer !== null && wantsAnswer < hardlyWanted,
  )
  return nothing ? 'nothing' : 'unknown'
}
