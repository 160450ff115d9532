import type { SignIn } from '@murrabel/contract'
import { checkPassword, hashPassword } from '../../access/password.ts'
import { openSession } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { audit } from './audit.ts'

// Compared when there is no such colleague, so that the answer takes as long.
const nobody = hashPassword('nobody')

/** Opens a session on the colleague's first brand; the token goes into the cookie. */
export async function signIn({ db, models }: Context, { email, password }: SignIn): Promise<string> {
  const colleague = await models.Colleague.findOne({ where: { email: email.trim().toLowerCase() } })
  const right = await checkPassword(password, colleague?.passwordHash ?? (await nobody))
  const membership =
    colleague &&
    (await models.Membership.findOne({ where: { colleagueId: colleague.id }, order: ['brandId'] }))
  if (!right || !colleague || !membership) throw new Refusal('signInFailed')
  const who = { colleagueId: colleague.id, brandId: membership.brandId }
  await audit(db, who, 'signIn', `colleague ${colleague.id}`)
  return openSession(db, who)
}
