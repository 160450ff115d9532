/** What a caller may branch on. The sentence is for the person: what happened, what was kept, what to do. */
export interface RefusalKind {
  status: number
  /** English; the web puts its own language's message of the same code over it. */
  sentence: string
  /** Whether a job should try again. */
  retry: boolean
}

export const refusal = (status: number, sentence: string, retry = false): RefusalKind => ({
  status,
  sentence,
  retry,
})
