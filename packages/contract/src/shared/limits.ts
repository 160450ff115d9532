export const limits = {
  /** A reply longer than any channel takes. */
  replyLength: 10_000,
  nameLength: 80,
  /** Rows of a table that is brought in. */
  importRows: 250_000,
  importColumns: 200,
  feedBytes: 10_000_000,
  /** Entries of one export. */
  exportRows: 100_000,
  pageRows: 200,
  /** Threads whose rows are asked for by their ids. */
  threadsAsked: 100,
  /** Lenses that somebody keeps, or the team does. */
  keptLenses: 100,
  patterns: 500,
  signOffs: 100,
  ownLines: 200,
} as const
