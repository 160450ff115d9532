import { isDrawn } from '@murrabel/core/learning'
import { routes, type ThreadEntry } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import type { ThreadDesk } from './threadDesk.ts'

type Judgement = 'positive' | 'neutral' | 'negative'

/** Puts the sentiment of an entry right, or gives it back to the machine; with the way back. */
export function useThreadJudging({ entries, loadThread, loadTide }: ThreadDesk) {
  const { t } = useTexts()
  const brand = useBrand()
  const undo = useUndo()
  const attempt = useAttempt()

  const judge = (entry: ThreadEntry, sentiment: Judgement | null): Promise<void> =>
    attempt(async () => {
      if (!brand.may('answer')) return
      const before = entry.correctedBy ? (entry.sentiment as Judgement) : null
      // Of those that are asked about, right ones are judged as well as wrong ones.
      const drawn = sentiment !== null && !entry.correctedBy && isDrawn(entry.id)
      await call(routes.correct, {
        params: { id: entry.id },
        body: { sentiment, ...(drawn && { drawn }) },
      })
      if (sentiment) {
        entries.change(entry.id, { sentiment })
        undo.tell({
          text: t('undo.corrected', { label: t(`sentiment.${sentiment}`) }),
          undo: () => judge({ ...entry, correctedBy: '' }, before),
        })
      }
      await loadThread()
      void loadTide()
    })
  return judge
}
