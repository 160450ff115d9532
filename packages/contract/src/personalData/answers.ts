/** What somebody asked for of their own data: to have it, or to have it erased. Who it was is not kept. */
export interface DataRequest {
  id: number
  kind: 'handOut' | 'erase'
  personId: number
  /** Who asked for it, as it was written down. */
  askedBy: string
  /** Which colleague did it. */
  by: string | null
  at: string
  counts: DataCounts
}

/** How much there was of each. */
export interface DataCounts {
  /** What they said, and what we answered them. */
  entries: number
  answers: number
  attachments: number
  visits: number
  accounts: number
  /** Addresses and numbers. */
  ways: number
}
