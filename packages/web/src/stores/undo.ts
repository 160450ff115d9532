import { defineStore } from 'pinia'
import { ref } from 'vue'

export interface Notice {
  text: string
  /** Takes it back; without one the notice only tells. */
  undo?: () => Promise<void>
  problem?: boolean
}

/** How long the strip offers to undo. */
export const undoMs = 10_000

/** The strip at the bottom: what was just done, and the way back. */
export const useUndo = defineStore('undo', () => {
  const notice = ref<Notice | null>(null)
  let timer: ReturnType<typeof setTimeout> | undefined
  function tell(next: Notice): void {
    clearTimeout(timer)
    notice.value = next
    timer = setTimeout(() => (notice.value = null), undoMs)
  }
  async function undo(): Promise<void> {
    const act = notice.value?.undo
    notice.value = null
    await act?.()
  }
  return { notice, tell, undo, clear: () => (notice.value = null) }
})
