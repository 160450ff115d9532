import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { EntryRow, ThreadChangeAnswer } from '@murrabel/contract'
import { useLeaving } from '../../composables/useLeaving.ts'
import type { ThreadDesk } from './threadDesk.ts'

/** Which thread of the list is open, and where one lands when it leaves the lens. */
export function useThreadCourse({ lens, entries, threadId, loadThread, loadTide }: ThreadDesk) {
  const route = useRoute()
  const router = useRouter()
  const { rows } = entries
  const index = computed(() => rows.value.findIndex((row) => row.threadId === threadId.value))

  const leaving = useLeaving()
  async function open(row: EntryRow | undefined, replace = false): Promise<void> {
    if (leaving.value) return
    const to = {
      path: row ? `/inbox/${row.threadId}` : '/inbox',
      query: route.query,
      hash: threadId.value === null ? route.hash : '',
    }
    await (replace ? router.replace(to) : router.push(to))
  }

  /** After a change the thread may have left the lens: land on the one that was next. */
  async function moveOn(answer: ThreadChangeAnswer): Promise<void> {
    const at = index.value
    const leaves = lens.value.state !== 'any' && answer.thread.state !== lens.value.state
    const next = rows.value[at + 1] ?? rows.value[at - 1]
    if (at >= 0 && leaves) {
      rows.value = rows.value.filter((_, i) => i !== at)
      await open(next, true)
    } else await loadThread()
    void entries.refresh()
    void loadTide()
  }

  /** Goes back to a thread that was left. */
  async function comeBackTo(id: number): Promise<void> {
    await entries.refresh()
    await router.replace({ path: `/inbox/${id}`, query: route.query })
    await loadThread()
    void loadTide()
  }
  return { index, open, moveOn, comeBackTo }
}
