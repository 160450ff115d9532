import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { routes, type NoticeAnswer, type NoticeChoices } from '@murrabel/contract'
import { call } from '../api/call.ts'

/** What colleagues did that concerns me, and how I want to hear of it. */
export const useNotices = defineStore('notices', () => {
  const notices = ref<NoticeAnswer[]>([])
  const choices = ref<NoticeChoices | null>(null)
  const unseen = computed(() => notices.value.filter(({ seen }) => !seen))
  async function load(): Promise<void> {
    const [list, chosen] = await Promise.all([call(routes.notices), call(routes.noticeChoices)])
    choices.value = chosen
    notices.value = list
  }
  async function choose(next: NoticeChoices): Promise<void> {
    choices.value = await call(routes.chooseNotices, { body: next })
    await load()
  }
  /** Whoever opens a thread has seen what was told of it, on every machine. */
  async function seeThread(thread: number): Promise<void> {
    if (!unseen.value.some((each) => each.thread === thread)) return
    notices.value = notices.value.map((each) => (each.thread === thread ? { ...each, seen: true } : each))
    await call(routes.noticesSeen, { body: { thread } })
  }
  return { notices, choices, unseen, load, choose, seeThread }
})
