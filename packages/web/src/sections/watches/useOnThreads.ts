import { routes, type EntryRow } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useProblemTexts } from '../../composables/useProblemTexts.ts'
import { useUndo } from '../../stores/undo.ts'
import type { Changed } from './useJudging.ts'

interface Shown {
  /** What a row shows then, and what it showed before. */
  part: Partial<EntryRow>
  before: (row: EntryRow) => Partial<EntryRow>
  text: (threads: number) => string
}
type Act = (thread: number) => Promise<{ eventId: number | null }>

/** Threads done one after the other, and the refusal that ended it half way. */
async function doEach(
  threads: Iterable<number>,
  act: Act,
): Promise<{ done: { thread: number; event: number | null }[]; refusal: CallProblem | null }> {
  const done: { thread: number; event: number | null }[] = []
  for (const thread of threads)
    try {
      done.push({ thread, event: (await act(thread)).eventId })
    } catch (error) {
      if (!(error instanceof CallProblem)) throw error
      return { done, refusal: error }
    }
  return { done, refusal: null }
}

/** Does the same on every thread of some rows, and tells what was done with its way back, also when it ended half way. */
export function useOnThreads(changed: Changed) {
  const undo = useUndo()
  const { line } = useProblemTexts()
  const attempt = useAttempt()

  return async (rows: readonly EntryRow[], act: Act, { part, before, text }: Shown): Promise<void> => {
    const { done, refusal } = await doEach(new Set(rows.map((row) => row.threadId)), act)
    const problem = refusal ? line(refusal) : ''
    if (!done.length) {
      if (problem) undo.tell({ text: problem, problem: true })
      return
    }
    const touched = rows.filter((row) => done.some(({ thread }) => thread === row.threadId))
    changed(
      touched.map((row) => row.id),
      part,
    )
    undo.tell({
      text: [text(done.length), problem].filter(Boolean).join(' '),
      undo: () =>
        attempt(async () => {
          for (const { thread, event } of done)
            if (event) await call(routes.undo, { params: { id: thread, event } })
          for (const row of touched) changed([row.id], before(row))
        }),
    })
  }
}
