import { routes, type TagChangeAnswer } from '@murrabel/contract'
import { call, CallProblem } from '../api/call.ts'
import { useBrand } from '../stores/brand.ts'
import { useUndo } from '../stores/undo.ts'
import { useProblemTexts } from './useProblemTexts.ts'
import { useTexts } from './useTexts.ts'

type Changed = TagChangeAnswer['changed']

/** The tags of a thread after a change. */
export const tagsAfter = (
  tags: readonly number[],
  { added, removed }: Pick<Changed[number], 'added' | 'removed'>,
): number[] => [...new Set([...tags, ...added])].filter((id) => !removed.includes(id)).sort((a, b) => a - b)

/** Changes tags of threads, with the way back; `changed` hears of every thread that changed. */
export function useTags(changed: (changes: Changed) => void) {
  const { t } = useTexts()
  const brand = useBrand()
  const undo = useUndo()
  const { line } = useProblemTexts()

  async function put(body: { threads: number[]; add: string[]; remove: number[] }): Promise<Changed> {
    const answer = await call(routes.tagThreads, { body })
    changed(answer.changed)
    brand.takeTags(answer.tags)
    return answer.changed
  }
  async function attempt(work: () => Promise<void>): Promise<void> {
    try {
      await work()
    } catch (error) {
      if (!(error instanceof CallProblem)) throw error
      undo.tell({ text: line(error), problem: true })
    }
  }
  return (threads: number[], { add, remove }: { add: string[]; remove: number[] }) =>
    attempt(async () => {
      if (!threads.length || (!add.length && !remove.length)) return
      // A tag that goes with its last thread is asked for by its name when it is to come back.
      const names = new Map(brand.tags.map(({ id, name }) => [id, name]))
      const done = await put({ threads, add, remove })
      if (!done.length) return
      undo.tell({
        text: t('tags.changed', { n: done.length }, done.length),
        undo: () =>
          attempt(async () => {
            for (const { thread, added, removed } of done)
              await put({
                threads: [thread],
                add: removed.flatMap((id) => names.get(id) ?? []),
                remove: added,
              })
          }),
      })
    })
}
