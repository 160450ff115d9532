import { useLocalStorage } from '@vueuse/core'

const key = 'murrabel.foldCopies'

/** Whether copies of a story are shown as one; the browser remembers it. */
export const useFolding = () => useLocalStorage(key, true)
export const isFolding = (): boolean => localStorage.getItem(key) !== 'false'
