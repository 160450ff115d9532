import { createHash } from 'node:crypto'
import type { SignIn } from '@murrabel/contract'
import { checkPassword, hashPassword } from '../../access/password.ts'
import { openSession } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { record } from '../log/record.ts'

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

interface Tries {
  pair: number
  address: number
  strangers: number
  known: boolean
}

/**
 * Opens a session on the colleague's first brand; the token goes into the cookie.
 *
 * @throws Refusal tooMany before the password is looked at, signInFailed
 */
export async function signIn(
  context: Context,
  { email, password }: SignIn,
  { address }: { address: string },
): Promise<string> {
  const { db, models } = context
  const folded = email.trim().toLowerCase()
  const account = createHash('sha256').update(folded).digest()
  const tries = await noteTry(context, account, address)
  if (tries.pair > window.pair || tries.address > window.address) throw new Refusal('tooMany')
  if (!tries.known && tries.strangers > window.strangers) throw new Refusal('tooMany')
  const colleague = await models.Colleague.findOne({ where: { email: folded } })
  const right = await checkPassword(password, colleague?.passwordHash ?? (await nobody))
  const membership =
    colleague &&
    (await models.Membership.findOne({ where: { colleagueId: colleague.id }, order: ['brandId'] }))
  if (!right || !colleague || !membership) throw new Refusal('signInFailed')
  const who = { colleagueId: colleague.id, brandId: membership.brandId }
  await db.rows('UPDATE sign_in_tries SET succeeded = true WHERE account = $1 AND address = $2', [
    account,
    address,
  ])
  await record(db, who, { kind: 'signIn', on: ['colleague', colleague.id] })
  return openSession(db, who)
}

/** Counts this try with those before it: noted first, so that many at once do not pass together. */
async function noteTry({ db }: Pick<Context, 'db'>, account: Buffer, address: string): Promise<Tries> {
  await db.rows('INSERT INTO sign_in_tries (account, address, succeeded) VALUES ($1, $2, false)', [
    account,
    address,
  ])
  const recent = `at > now() - ${window.minutes} * interval '1 minute' AND NOT succeeded`
  const row = await db.one<Tries>(
    `SELECT (SELECT count(*) FROM sign_in_tries WHERE account = $1 AND address = $2 AND ${recent}) AS pair,
       (SELECT count(*) FROM sign_in_tries WHERE address = $2 AND ${recent}) AS address,
       (SELECT count(*) FROM sign_in_tries t WHERE account = $1 AND ${recent} AND NOT EXISTS (
         SELECT 1 FROM sign_in_tries k WHERE k.account = $1 AND k.address = t.address AND k.succeeded)) AS strangers,
       EXISTS (SELECT 1 FROM sign_in_tries WHERE account = $1 AND address = $2 AND succeeded AND at > now() - ${knownDays} * interval '1 day') AS known`,
    [account, address],
  )
  return row ?? { pair: 0, address: 0, strangers: 0, known: false }
}
