import { defaultWindow, useEventListener } from '@vueuse/core'
import type { Shortcut } from '../shortcuts.ts'
import { useShortcutKeys } from '../stores/shortcuts.ts'

/** Keys that mean the same everywhere and are nobody's to change. */
const arrows: Record<string, Shortcut> = { ArrowDown: 'next', ArrowUp: 'previous' }

/** Nothing is typed into a box that is ticked. */
const ticked = (target: EventTarget | null) =>
  target instanceof HTMLInputElement && target.type === 'checkbox'
const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement &&
  !ticked(target) &&
  (target.isContentEditable || /^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName))

const sheetIsOpen = () => document.querySelector('.el-overlay:not([style*="display: none"])') !== null

/** What is done by one key, while nothing is typed and no sheet or menu is open. */
export function useShortcuts(acts: Partial<Record<Shortcut, (event: KeyboardEvent) => void>>): void {
  const shortcuts = useShortcutKeys()
  useEventListener(defaultWindow, 'keydown', (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
    // Within an element of its own kind, the field that is typed into is deeper than the target.
    if (typing(event.composedPath()[0] ?? event.target) || sheetIsOpen()) return
    const name = arrows[event.key] ?? shortcuts.pressed(event.key)
    const act = name && acts[name]
    if (!act) return
    event.preventDefault()
    act(event)
  })
}
