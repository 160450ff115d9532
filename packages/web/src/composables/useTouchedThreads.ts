import { gathered } from './useLive.ts'

/** A list that can look again at the rows of some threads, or at everything. */
interface Touchable {
  touch: (threads: readonly number[]) => Promise<void>
  refresh: () => Promise<void>
}

/**
 * Takes the threads that notices name, and has the list look at them together after a short time. A notice that names
 * none may mean any of them: then the list looks at everything.
 */
export function useTouchedThreads(list: Touchable, waitMs?: number): (threads: readonly number[]) => void {
  let touched = new Set<number>()
  let all = false
  const look = gathered(() => {
    const threads = [...touched]
    const everything = all
    touched = new Set()
    all = false
    return everything ? list.refresh() : list.touch(threads)
  }, waitMs)
  return (threads) => {
    if (!threads.length) all = true
    for (const thread of threads) touched.add(thread)
    look()
  }
}
