import type { SimHash } from '@murrabel/core/inbox'
import type { StoryPrint } from '@murrabel/core/stories'

/** A fingerprint of a text's words as PostgreSQL's bytea, and back. */
export const storedPrint = (print: StoryPrint | null): Buffer | null =>
  print && Buffer.from(print.buffer, print.byteOffset, print.byteLength)
/** Its bytes are copied: what comes from a connection shares memory with more, at any place. */
export const printStored = (bytes: Buffer): StoryPrint => new Int32Array(new Uint8Array(bytes).buffer)

/** The fingerprint of spam as PostgreSQL's bigint. */
export const storedSpamPrint = (print: SimHash | null): string | null =>
  print && BigInt.asIntN(64, (BigInt(print.high) << 32n) | BigInt(print.low)).toString()
