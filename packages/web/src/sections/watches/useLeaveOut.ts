import { routes, type WatchAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'

/** Leaves a voice out of a watch: what it said before goes from its mentions as well. */
export function useLeaveOut() {
  const { t } = useTexts()
  const brand = useBrand()
  const undo = useUndo()
  const attempt = useAttempt()

  return (watch: WatchAnswer, name: string) =>
    attempt(async () => {
      const voices = watch.query.voices ?? { only: [], without: [] }
      let { edition } = watch
      const put = async (query: WatchAnswer['query']) => {
        const body = { name: watch.name, query, edition }
        ;({ edition } = await call(routes.updateWatch, { params: { id: watch.id }, body }))
      }
      await put({ ...watch.query, voices: { ...voices, without: [...voices.without, name] } })
      await brand.reloadWatches()
      undo.tell({
        text: t('watch.list.voiceLeft', { name, watch: watch.name }),
        undo: () =>
          attempt(async () => {
            await put({ ...watch.query, voices })
            await brand.reloadWatches()
          }),
      })
    })
}
