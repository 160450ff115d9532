import type { Lens } from '@murrabel/core/lens'
import { routes, type WatchAnswer } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'

/**
 * What can be done to a saved watch from its page.
 *
 * @param change changes the lens
 * @param edit opens a watch in its sheet
 */
export function useWatchActions({
  change,
  edit,
}: {
  change(part: Partial<Lens>): void
  edit(watch: WatchAnswer): void
}) {
  const brand = useBrand()
  const undo = useUndo()
  const { t } = useTexts()
  const attempt = useAttempt()
  const restore = (id: number) =>
    attempt(async () => {
      await call(routes.restoreWatch, { params: { id } })
      await brand.reloadWatches()
      change({ watch: id })
    })
  const remove = ({ id }: WatchAnswer) =>
    attempt(async () => {
      await call(routes.deleteWatch, { params: { id } })
      await brand.reloadWatches()
      change({ watch: brand.watches[0]?.id ?? null })
      undo.tell({ text: t('undo.deleted'), undo: () => restore(id) })
    })
  const pause = ({ id }: WatchAnswer, paused: boolean) =>
    attempt(async () => {
      await call(routes.pauseWatch, { params: { id }, body: { paused } })
      await brand.reloadWatches()
    })
  const copy = ({ id }: WatchAnswer) =>
    attempt(async () => {
      const made = await call(routes.copyWatch, { params: { id } })
      await brand.reloadWatches()
      change({ watch: made.id })
      edit(made)
    })
  const move = ({ id, name, query, edition }: WatchAnswer, groupId: number | null) =>
    attempt(async () => {
      await call(routes.updateWatch, { params: { id }, body: { name, query, groupId, edition } })
      await brand.reloadWatches()
    })
  return { remove, pause, copy, move }
}
