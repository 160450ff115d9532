import { randomBytes } from 'node:crypto'
import {
  fieldProblem,
  type Invitation,
  type InvitationCard,
  type InvitationDraft,
  type JoinDraft,
  type Limits,
} from '@murrabel/contract'
import { checkPassword, hashPassword } from '../../access/password.ts'
import type { Reader } from '../../access/reader.ts'
import { hashOf, openSession } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import * as stored from '../../store/queries/colleagues/colleagues.ts'
import { brandRow } from '../../store/queries/places/places.ts'
import { askSecondFactor, limitTries, lookOfBrand } from '../brand/index.ts'
import { post } from '../letters/index.ts'
import { record } from '../log/index.ts'

/** Days for which an invitation can be taken. */
const days = 7

/** Owners alone make owners. @throws Refusal onlyOwners */
export function mayMake(reader: Reader, role: string): void {
  if (role === 'owner' && reader.role !== 'owner') throw new Refusal('onlyOwners')
}

/** Places and profiles are the brand's own. @throws Refusal notFound */
export async function checkLimits(
  { db }: Pick<Context, 'db'>,
  brandId: number,
  { placeIds, profileIds }: Limits,
  tx: Tx,
): Promise<void> {
  const own = await stored.ownIds(db, { brandId, placeIds, profileIds }, tx)
  if (own.places !== new Set(placeIds).size || own.profiles !== new Set(profileIds).size)
    throw new Refusal('notFound')
}

/** Asks somebody to join by a mail with a link that works once. @throws Refusal memberAlready, invitedAlready, onlyOwners */
export function invite(
  context: Pick<Context, 'db' | 'due' | 'config'>,
  reader: Reader,
  { email, role, placeIds, profileIds }: InvitationDraft,
): Promise<Invitation> {
  const { db, due, config } = context
  const { brandId, colleagueId } = reader
  mayMake(reader, role)
  const token = randomBytes(24).toString('base64url')
  return db.inTransaction(async (tx) => {
    await checkLimits({ db }, brandId, { placeIds, profileIds }, tx)
    const known = await stored.colleagueByEmail(db, email)
    if (known && (await stored.lockMember(db, { id: known.id, brandId }, tx)))
      throw new Refusal('memberAlready')
    const made = await stored.insertInvitation(
      db,
      { brandId, email, role, placeIds, profileIds, tokenHash: hashOf(token), invitedBy: colleagueId, days },
      tx,
    )
    if (!made) throw new Refusal('invitedAlready')
    const brand = (await brandRow(db, brandId, tx))!.name
    const inviter =
      (await stored.colleaguesSetUp(db, brandId)).find(({ id }) => id === colleagueId)?.name ?? brand
    await post(
      { db, due },
      {
        address: email,
        subject: `${inviter} invites you to ${brand} on Murrabel`,
        text: [
          `${inviter} invites you to work on ${brand} with them.`,
          `Join here; the link works once, and for ${days} days:\n${config.publicAddress}/join/${token}`,
          'If you did not expect this, do nothing: without the link nobody joins in your name.',
        ].join('\n\n'),
      },
      tx,
    )
    await record(
      db,
      reader,
      { kind: 'invite', on: ['brand', brandId], detail: { email, role, placeIds, profileIds } },
      tx,
    )
    return (await stored.invitationsOf(db, brandId, tx)).find(({ id }) => id === made.id)!
  })
}

export const takeBackInvitation = (
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  id: number,
): Promise<undefined> =>
  db.inTransaction(async (tx) => {
    const email = await stored.deleteInvitation(db, { id, brandId: reader.brandId }, tx)
    if (email === undefined) throw new Refusal('notFound')
    await record(
      db,
      reader,
      { kind: 'takeBackInvitation', on: ['brand', reader.brandId], detail: { email } },
      tx,
    )
    return undefined
  })

/** What whoever has the link sees. @throws Refusal linkEnded */
export async function invitationCard(
  { db, config }: Pick<Context, 'db' | 'config'>,
  token: string,
): Promise<InvitationCard> {
  const found = await stored.openInvitation(db, hashOf(token))
  if (!found) throw new Refusal('linkEnded')
  const { brand, brandId, email, role, invitedBy, colleagueId } = found
  const { logo } = await lookOfBrand({ db, config }, brandId)
  return { brand, logo, email, role, invitedBy, known: colleagueId !== null }
}

/**
 * Joins by an invitation: somebody new chooses name and password, somebody who has an account here proves it. Answers the session
 * that is opened with it.
 *
 * @throws Refusal linkEnded, invalid, tooMany, passwordWrong, codeNeeded, codeWrong
 */
export async function joinBrand(
  context: Context,
  token: string,
  { name = '', password, code = '' }: JoinDraft,
  { address, agent }: { address: string; agent: string },
): Promise<string> {
  const { db, live } = context
  const seen = await stored.openInvitation(db, hashOf(token))
  if (!seen) throw new Refusal('linkEnded')
  if (seen.passwordHash !== null) {
    await limitTries(db, { email: seen.email, address })
    if (!(await checkPassword(password, seen.passwordHash))) throw new Refusal('passwordWrong')
    await askSecondFactor(context, seen.colleagueId!, code)
  } else checkNew({ name, password })
  const passwordHash = seen.passwordHash ?? (await hashPassword(password))
  const who = await db.inTransaction(async (tx) => {
    // Two may have the page open: the first takes it.
    const open = await stored.openInvitation(db, hashOf(token), tx)
    if (!open || open.colleagueId !== seen.colleagueId) throw new Refusal('linkEnded')
    const colleagueId =
      open.colleagueId ?? (await stored.insertColleague(db, { email: open.email, name, passwordHash }, tx))
    await stored.setMember(db, { ...open, id: colleagueId }, tx)
    await stored.useInvitation(db, open.id, tx)
    const member = { colleagueId, brandId: open.brandId }
    await record(
      db,
      member,
      { kind: 'join', on: ['colleague', colleagueId], detail: { role: open.role } },
      tx,
    )
    await live.tell(open.brandId, { kind: 'brand' }, tx)
    return member
  })
  return openSession(db, { ...who, agent })
}

function checkNew({ name, password }: { name: string; password: string }): void {
  const fields = [
    ...(name ? [] : [fieldProblem('name', 'nameMissing')]),
    ...(password.length >= 10 ? [] : [fieldProblem('password', 'passwordShort')]),
  ]
  if (fields.length) throw new Refusal('invalid', { fields })
}
