import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto'

// N 2^15, r 8, p 1: 32 MB and about 60 ms, the floor OWASP names for scrypt.
const cost = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 }

const derive = (password: string, salt: Buffer) =>
  new Promise<Buffer>((resolve, reject) =>
    scrypt(password.normalize('NFKC'), salt, 32, cost, (error, key) =>
      error ? reject(error) : resolve(key),
    ),
  )

/** "scrypt$salt$hash", both in base64. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(16)
  return `scrypt$${salt.toString('base64')}$${(await derive(password, salt)).toString('base64')}`
}

export async function checkPassword(password: string, stored: string): Promise<boolean> {
  const [scheme, salt, hash] = stored.split('$')
  if (scheme !== 'scrypt' || !salt || !hash) return false
  return timingSafeEqual(await derive(password, Buffer.from(salt, 'base64')), Buffer.from(hash, 'base64'))
}
