import { defineStore } from 'pinia'
import { computed } from 'vue'
import { useLocalStorage } from '@vueuse/core'
import { changeKey, readKeys, shortcutOf, type KeyChange, type Shortcut } from '../shortcuts.ts'

/** Shortcuts of one key as this browser keeps them; whoever speaks to their computer switches them off. */
export const useShortcutKeys = defineStore('shortcuts', () => {
  const on = useLocalStorage('murrabel.shortcuts.on', true)
  const kept = useLocalStorage<Record<string, string>>('murrabel.shortcuts.keys', {})
  const keys = computed(() => readKeys(kept.value))

  function change(name: Shortcut, key: string): KeyChange {
    const changed = changeKey(keys.value, name, key)
    if ('keys' in changed) kept.value = changed.keys
    return changed
  }
  /** The key to show beside a button; none while shortcuts are off. */
  const keyOf = (name: Shortcut): string => (on.value ? keys.value[name] : '')
  const pressed = (key: string): Shortcut | undefined => (on.value ? shortcutOf(keys.value, key) : undefined)
  return { on, keys, change, keyOf, pressed, reset: () => (kept.value = {}) }
})
