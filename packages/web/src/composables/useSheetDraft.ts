import { nextTick, watch, type Ref } from 'vue'

const nameOf = (key: string) => `murrabel.sheet.${key}`

function read<Draft>(key: string): Draft | null {
  try {
    return JSON.parse(sessionStorage.getItem(nameOf(key)) ?? 'null') as Draft | null
  } catch {
    return null
  }
}

/**
 * What is typed into a sheet is kept in this tab until it is saved or the sheet is closed: a page that is loaded afresh
 * loses nothing. Called after the sheet's own filling, so that what was kept comes last.
 *
 * @param options.shown whether the sheet is open
 * @param options.key names what is edited, with its edition: nothing is put into a thing that somebody changed meanwhile
 * @param options.draft what is typed, as plain values
 * @param options.put fills the sheet with what was kept
 */
export function useSheetDraft<Draft>({
  shown,
  key,
  draft,
  put,
}: {
  shown: Ref<boolean>
  key: () => string
  draft: () => Draft
  put: (draft: Draft) => void
}): void {
  let begun = ''
  watch(
    shown,
    async (open, was) => {
      // One that was never open has nothing to give up.
      if (!open) return was ? sessionStorage.removeItem(nameOf(key())) : undefined
      const kept = read<Draft>(key())
      await nextTick()
      begun = JSON.stringify(draft())
      if (kept) put(kept)
    },
    { immediate: true },
  )
  watch(
    () => JSON.stringify(draft()),
    (now) => {
      if (!shown.value || !begun) return
      if (now === begun) sessionStorage.removeItem(nameOf(key()))
      else sessionStorage.setItem(nameOf(key()), now)
    },
  )
}
