import { createHmac } from 'node:crypto'

/** A text as it can be known again and not be read: HMAC-SHA-256 under a key outside the database. */
export const hiddenBy =
  (key: Buffer) =>
  (text: string): Buffer =>
    createHmac('sha256', key).update(text).digest()
