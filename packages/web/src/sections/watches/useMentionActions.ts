import { routes, type EntryRow } from '@murrabel/contract'
import { call } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import { useBrand } from '../../stores/brand.ts'
import { useUndo } from '../../stores/undo.ts'
import { useJudging, type Changed } from './useJudging.ts'
import { useLeaveOut } from './useLeaveOut.ts'
import { useOnThreads } from './useOnThreads.ts'

/** What can be done with mentions, one or many; each with its way back. */
export function useMentionActions({ changed }: { changed: Changed }) {
  const { t } = useTexts()
  const brand = useBrand()
  const undo = useUndo()
  const attempt = useAttempt()
  const onThreads = useOnThreads(changed)

  const finish = (rows: readonly EntryRow[]) =>
    onThreads(
      rows.filter((row) => row.state !== 'done'),
      (id) => call(routes.threadEvent, { params: { id }, body: { kind: 'finish' } }),
      {
        part: { state: 'done' },
        before: ({ state }) => ({ state }),
        text: (n) => t('watch.list.finished', { n }),
      },
    )

  const give = (rows: readonly EntryRow[], to: number) =>
    onThreads(rows, (id) => call(routes.give, { params: { id }, body: { to } }), {
      part: { givenTo: to, teamId: null },
      before: ({ givenTo, teamId }) => ({ givenTo, teamId }),
      text: (n) => t('watch.list.given', { n, name: brand.colleagueName(to) }),
    })

  const keep = (rows: readonly EntryRow[], kept: boolean) =>
    attempt(async () => {
      if (!rows.length || !brand.may('answer')) return
      const { changed: ids } = await call(routes.keepEntries, {
        body: { ids: rows.map((row) => row.id), kept },
      })
      changed(ids, { kept })
      undo.tell({
        text: t(kept ? 'tags.kept' : 'tags.letGo', { n: ids.length }, ids.length),
        undo: () =>
          attempt(async () => {
            if (ids.length) await call(routes.keepEntries, { body: { ids, kept: !kept } })
            changed(ids, { kept: !kept })
          }),
      })
    })

  return { judge: useJudging(changed), finish, give, keep, leaveOut: useLeaveOut() }
}
