import { routes, type EntryRow } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'

export type Judgement = 'positive' | 'neutral' | 'negative'
/** Shows what has become of some rows. */
export type Changed = (ids: number[], part: Partial<EntryRow>) => void

/** Puts the sentiment of mentions right, with the way back. */
export function useJudging(changed: Changed) {
  const { t } = useTexts()
  const brand = useBrand()
  const undo = useUndo()
  const attempt = useAttempt()

  const judge = (rows: readonly EntryRow[], sentiment: Judgement) =>
    attempt(async () => {
      if (!rows.length || !brand.may('answer')) return
      const ids = rows.map((row) => row.id)
      const { changed: before } = await call(routes.correctMany, { body: { ids, sentiment } })
      changed(ids, { sentiment: sentiment, corrected: true })
      undo.tell({
        text:
          ids.length === 1
            ? t('undo.corrected', { label: t(`sentiment.${sentiment}`) })
            : t('watch.list.judged', { n: ids.length, label: t(`sentiment.${sentiment}`) }),
        undo: () => attempt(() => takeBack(rows, before)),
      })
    })

  /** Gives each the judgement it had: a person's, or the machine's. */
  async function takeBack(
    rows: readonly EntryRow[],
    before: readonly { id: number; before: string }[],
  ): Promise<void> {
    const corrected = new Set(rows.filter((row) => row.corrected).map((row) => row.id))
    const bySentiment = new Map<string | null, number[]>()
    for (const each of before) {
      const sentiment = corrected.has(each.id) ? each.before : null
      bySentiment.set(sentiment, [...(bySentiment.get(sentiment) ?? []), each.id])
    }
    for (const [sentiment, ids] of bySentiment) await call(routes.correctMany, { body: { ids, sentiment } })
    for (const each of before)
      changed([each.id], {
        sentiment: each.before as EntryRow['sentiment'],
        corrected: corrected.has(each.id),
      })
  }

  return judge
}
