/** Goes to a field and, when one leaves it, back to where one was. */
export function useFocusReturn() {
  let from: HTMLElement | null = null
  return {
    /** Focuses a field, from wherever one is. */
    go(field: HTMLElement | null | undefined): void {
      const now = document.activeElement
      if (!field || now === field) return
      from = now instanceof HTMLElement && now !== document.body ? now : null
      field.focus()
    },
    /** Leaves the field: to where one was, if that is still there, else to nowhere in particular. */
    back(): void {
      if (from?.isConnected) from.focus()
      else if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
      from = null
    },
  }
}
