/** What is typed is kept per thread on this device until it is sent, whatever happens in between. */
const name = (threadId: number) => `murrabel.draft.${threadId}`

export const readDraft = (threadId: number): string => localStorage.getItem(name(threadId)) ?? ''

export function keepDraft(threadId: number, text: string): void {
  if (text.trim()) localStorage.setItem(name(threadId), text)
  else localStorage.removeItem(name(threadId))
}
