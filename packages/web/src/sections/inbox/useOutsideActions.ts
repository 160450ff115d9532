import { ElMessageBox } from 'element-plus'
import { routes, type ThreadEntry } from '@murrabel/contract'
import { call, CallProblem } from '../../api/call.ts'
import { useAttempt } from '../../composables/useAttempt.ts'
import { useTexts } from '../../composables/useTexts.ts'
import type { ThreadDesk } from './threadDesk.ts'

/** What can still be done about an answer that is on its way out. */
export function useOutsideActions({ loadThread, putBack }: ThreadDesk) {
  const { t } = useTexts()
  const attempt = useAttempt()

  const mayBePublic = (): Promise<boolean> =>
    ElMessageBox.confirm(t('inbox.maybePublic'), {
      confirmButtonText: t('inbox.callBackAnyway'),
      cancelButtonText: t('inbox.leaveIt'),
    }).then(
      () => true,
      () => false,
    )
  /** Calls an action back; false when somebody decided to leave it. */
  async function cancel(id: number): Promise<boolean> {
    const ask = (anyway: boolean) => call(routes.cancelAction, { params: { id }, body: { anyway } })
    try {
      await ask(false)
    } catch (error) {
      // It may be public already: a person decides, knowing that.
      if (!(error instanceof CallProblem) || error.problem.code !== 'maybeSent') throw error
      if (!(await mayBePublic())) return false
      await ask(true)
    }
    return true
  }
  const callBack = (entry: ThreadEntry): Promise<void> =>
    attempt(async () => {
      if (!entry.action || !(await cancel(entry.action.id))) return
      await loadThread()
      putBack(entry.action.written ?? entry.text)
    })
  /** Gives up a change that did not get through. */
  const drop = (id: number): Promise<void> =>
    attempt(async () => {
      await cancel(id)
      await loadThread()
    })
  async function retry(id: number): Promise<void> {
    await attempt(async () => {
      await call(routes.retryAction, { params: { id } })
    })
    await loadThread()
  }
  return { callBack, drop, retry }
}
