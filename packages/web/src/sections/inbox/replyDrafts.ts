/** What is typed is kept per thread on this device as well until it is sent, whatever happens in between. */
const name = (threadId: number) => `murrabel.draft.${threadId}`

export interface LocalDraft {
  text: string
  private: boolean
  /** The thread's edition when it was begun. */
  edition: number
  /** When it was last typed at, as ISO 8601 writes it. */
  at: string
}

/** Null: nothing is kept, or nothing that can be read. */
export function readDraft(threadId: number): LocalDraft | null {
  try {
    const kept = JSON.parse(localStorage.getItem(name(threadId)) ?? 'null') as Partial<LocalDraft> | null
    return kept && typeof kept.text === 'string' && kept.text.trim() && typeof kept.at === 'string'
      ? { text: kept.text, private: kept.private === true, edition: kept.edition ?? 0, at: kept.at }
      : null
  } catch {
    return null
  }
}

export function keepDraft(threadId: number, draft: LocalDraft): void {
  if (draft.text.trim()) localStorage.setItem(name(threadId), JSON.stringify(draft))
  else localStorage.removeItem(name(threadId))
}
