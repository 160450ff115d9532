import { createHash } from 'node:crypto'
import type { SignIn } from '@murrabel/contract'
import { checkPassword, hashPassword } from '../../access/password.ts'
import { checkSecondFactor } from '../../access/secondFactor.ts'
import { openSession } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Database } from '../../store/database.ts'
import { countTries, noteSuccess, noteTry } from '../../store/queries/brand/signInTries.ts'
import { record } from '../log/index.ts'

// Compared when there is no such colleague, so that the answer takes as long.
const nobody = hashPassword('nobody')

/**
 * Failed tries within the window that are let pass: for one account from one address, and from one address whatever the
 * account. An address from which the account was signed in to before is counted by itself, so that nobody locks somebody
 * else out; from any other, tries at one account are limited together.
 */
const window = { minutes: 15, pair: 10, address: 60, strangers: 200 }
/** Days for which an address counts as known to an account. */
const knownDays = 90

/**
 * Opens a session on the colleague's first brand; the token goes into the cookie.
 *
 * @throws Refusal tooMany before the password is looked at, signInFailed, codeNeeded, codeWrong
 */
export async function signIn(
  context: Context,
  { email, password, code = '' }: SignIn,
  { address, agent }: { address: string; agent: string },
): Promise<string> {
  const { db, models } = context
  const folded = email.trim().toLowerCase()
  const account = await limitTries(db, { email: folded, address })
  const colleague = await models.Colleague.findOne({ where: { email: folded } })
  const right = await checkPassword(password, colleague?.passwordHash ?? (await nobody))
  const membership =
    colleague &&
    (await models.Membership.findOne({ where: { colleagueId: colleague.id }, order: ['brandId'] }))
  if (!right || !colleague || !membership) throw new Refusal('signInFailed')
  await askSecondFactor(context, colleague.id, code)
  const who = { colleagueId: colleague.id, brandId: membership.brandId }
  await noteSuccess(db, { account, address })
  await record(db, who, { kind: 'signIn', on: ['colleague', colleague.id] })
  return openSession(db, { ...who, agent })
}

/**
 * Counts a try at an account before anything of it is looked at; answers by what the account is counted.
 *
 * @throws Refusal tooMany
 */
export async function limitTries(
  db: Database,
  { email, address }: { email: string; address: string },
): Promise<Buffer> {
  const account = createHash('sha256').update(email).digest()
  // Noted first, so that many at once do not pass together.
  await noteTry(db, { account, address })
  const tries = await countTries(db, { account, address }, { minutes: window.minutes, knownDays })
  if (tries.pair > window.pair || tries.address > window.address) throw new Refusal('tooMany')
  if (!tries.known && tries.strangers > window.strangers) throw new Refusal('tooMany')
  return account
}

/** The code of somebody whose password is right, where a second factor is on. @throws Refusal tooMany, codeNeeded, codeWrong */
export async function askSecondFactor(
  { db, config }: Pick<Context, 'db' | 'config'>,
  colleagueId: number,
  code: string,
): Promise<void> {
  // Guesses are limited by the account, from wherever they come: whoever makes them has the password.
  if (code) await limitTries(db, { email: `code of ${colleagueId}`, address: `code of ${colleagueId}` })
  const told = await checkSecondFactor(db, { colleagueId, code, key: config.sealingKey })
  if (told === 'needed') throw new Refusal('codeNeeded')
  if (told === 'wrong') throw new Refusal('codeWrong')
}
