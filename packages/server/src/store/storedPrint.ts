import type { SimHash } from '@murrabel/core/stories'

/** A fingerprint as PostgreSQL's bigint. */
export const storedPrint = (print: SimHash | null): string | null =>
  print && BigInt.asIntN(64, (BigInt(print.high) << 32n) | BigInt(print.low)).toString()
