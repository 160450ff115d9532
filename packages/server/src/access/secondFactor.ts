import { randomInt } from 'node:crypto'
import { Secret, TOTP } from 'otpauth'
import type { Database, Tx } from '../store/database.ts'
import { secondFactorOf, useRecoveryCode, useStep } from '../store/queries/colleagues/secondFactor.ts'
import { unseal } from './seal.ts'
import { hashOf } from './sessions.ts'

/** Codes as every app makes them: RFC 6238, SHA-1, 6 digits, 30 seconds. */
export const codesOf = (secret: string, email: string): TOTP =>
  new TOTP({ issuer: 'Murrabel', label: email, secret: Secret.fromBase32(secret) })

export const newSecret = (): string => new Secret({ size: 20 }).base32

/** Steps of 30 seconds by which a clock may be wrong. */
const drift = 1

/** The step a code is of, counted from 1970; null: it is not of now. Spaces between its digits are nothing. */
export function stepOf(totp: TOTP, code: string, now = Date.now()): number | null {
  const token = code.replace(/\s/g, '')
  if (!/^\d{6}$/.test(token)) return null
  const delta = totp.validate({ token, window: drift, timestamp: now })
  return delta === null ? null : totp.counter({ timestamp: now }) + delta
}

// Without letters and digits that are taken for each other.
const letters = 'abcdefghjkmnpqrstuvwxyz23456789'

/** Ten codes of 49 bits, written in two groups. */
export const newRecoveryCodes = (): string[] =>
  Array.from({ length: 10 }, () => {
    const code = Array.from({ length: 10 }, () => letters[randomInt(letters.length)]).join('')
    return `${code.slice(0, 5)}-${code.slice(5)}`
  })

export const recoveryHash = (code: string): Buffer => hashOf(code.toLowerCase().replace(/[^a-z0-9]/g, ''))

/**
 * Looks at the code of somebody whose password is right: of the app, which is good once, or a recovery code.
 *
 * @returns `off` where no second factor is on
 */
export async function checkSecondFactor(
  db: Database,
  { colleagueId, code, key }: { colleagueId: number; code: string; key: Buffer },
  tx?: Tx,
): Promise<'off' | 'right' | 'needed' | 'wrong'> {
  const own = await secondFactorOf(db, colleagueId, tx)
  if (!own?.since || !own.secret) return 'off'
  if (!code) return 'needed'
  const step = stepOf(codesOf(unseal(own.secret, key), own.email), code)
  const right =
    step === null
      ? await useRecoveryCode(db, { colleagueId, hash: recoveryHash(code) })
      : await useStep(db, { colleagueId, step }, tx)
  return right ? 'right' : 'wrong'
}
