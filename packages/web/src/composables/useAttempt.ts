import { CallProblem } from '../api/call.ts'
import { useUndo } from '../stores/undo.ts'
import { useProblemTexts } from './useProblemTexts.ts'

/** Does something; what the server refuses is told in the strip, what is a fault is thrown on. */
export function useAttempt(): (work: () => Promise<void>) => Promise<void> {
  const undo = useUndo()
  const { line } = useProblemTexts()
  return async (work) => {
    try {
      await work()
    } catch (error) {
      if (!(error instanceof CallProblem)) throw error
      undo.tell({ text: line(error), problem: true })
    }
  }
}
