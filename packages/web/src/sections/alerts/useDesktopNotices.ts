import { onScopeDispose, watch } from 'vue'
import { useRouter } from 'vue-router'
import { quietUntil } from '@murrabel/core/notices'
import { useBrand } from '../../stores/brand.ts'
import { useNotices } from '../../stores/notices.ts'
import { useNoticeTexts } from './useNoticeTexts.ts'

/**
 * Shows what is new on the desktop, where somebody chose that, the browser was allowed to, and nobody looks at this page at
 * the moment. Several windows of one browser show it once; seen anywhere, it goes away.
 */
export function useDesktopNotices(): void {
  const store = useNotices()
  const brand = useBrand()
  const router = useRouter()
  const { toldOf } = useNoticeTexts()
  const shown = new Map<number, Notification>()
  /** Told before: what was there when the page came is no news. */
  let known: Set<number> | null = null

  function show(): void {
    const { unseen, choices } = store
    const before = known
    known = new Set(store.notices.map(({ id }) => id))
    for (const [id, notification] of shown)
      if (!unseen.some((each) => each.id === id)) {
        notification.close()
        shown.delete(id)
      }
    if (!before || !choices?.desktop.length || typeof Notification === 'undefined') return
    if (Notification.permission !== 'granted' || document.hasFocus()) return
    if (choices.quiet && quietUntil(choices.quiet, { now: Date.now(), zone: brand.zone }) !== null) return
    for (const notice of unseen) {
      if (before.has(notice.id) || !choices.desktop.includes(notice.kind)) continue
      const notification = new Notification(toldOf({ ...notice, count: 1 }), {
        body: notice.text ?? '',
        tag: `murrabel-${notice.id}`,
      })
      notification.onclick = () => {
        window.focus()
        void router.push(`/inbox/${notice.thread}?state=any&given=anybody&time=all`)
        notification.close()
      }
      shown.set(notice.id, notification)
    }
  }
  watch(() => store.notices, show)
  onScopeDispose(() => shown.forEach((notification) => notification.close()))
}
