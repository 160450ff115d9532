import { onMounted, onUnmounted } from 'vue'

export type KeyMap = Record<string, (event: KeyboardEvent) => void>

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName))

/** Keys of the daily work, while nothing is typed and no sheet or menu is open. */
export function useKeys(keys: KeyMap): void {
  function onKey(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented || typing(event.target))
      return
    if (document.querySelector('.el-overlay:not([style*="display: none"])')) return
    const act = keys[event.key]
    if (!act) return
    event.preventDefault()
    act(event)
  }
  onMounted(() => window.addEventListener('keydown', onKey))
  onUnmounted(() => window.removeEventListener('keydown', onKey))
}
