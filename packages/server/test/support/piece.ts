import type { Piece } from '../../src/jobs/due/piece.ts'

/** A piece of work that nobody holds: to run a use case by itself. */
export const loosePiece = (subject: string | number, more: Partial<Piece> = {}): Piece => ({
  subject: String(subject),
  id: Number(subject),
  attempts: 1,
  progress: null,
  signal: new AbortController().signal,
  keep: async () => {},
  ...more,
})
