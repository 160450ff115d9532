import { createCipheriv, createDecipheriv, randomBytes } from 'node:crypto'

/** AES-256-GCM: 12 bytes of nonce, the ciphertext, 16 bytes of tag. @param key 32 bytes, kept outside the database */
export function seal(plain: string, key: Buffer): Buffer {
  const nonce = randomBytes(12)
  const cipher = createCipheriv('aes-256-gcm', key, nonce)
  return Buffer.concat([nonce, cipher.update(plain, 'utf8'), cipher.final(), cipher.getAuthTag()])
}

/** @throws when the key is another or the bytes were changed */
export function unseal(sealed: Buffer, key: Buffer): string {
  const decipher = createDecipheriv('aes-256-gcm', key, sealed.subarray(0, 12))
  decipher.setAuthTag(sealed.subarray(-16))
  return Buffer.concat([decipher.update(sealed.subarray(12, -16)), decipher.final()]).toString('utf8')
}
