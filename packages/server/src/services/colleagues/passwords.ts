import { randomBytes } from 'node:crypto'
import type { PasswordDraft, SessionAnswer } from '@murrabel/contract'
import { checkPassword, hashPassword } from '../../access/password.ts'
import type { Reader } from '../../access/reader.ts'
import { hashOf } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import * as stored from '../../store/queries/colleagues/colleagues.ts'
import { limitTries } from '../brand/index.ts'
import { post } from '../letters/index.ts'
import { record } from '../log/index.ts'

/** Minutes for which a link to a new password works. */
const resetMinutes = 60
/** Links that somebody is sent in an hour at most. */
const mostResets = 3

/** That whoever asks knows the password. @throws Refusal passwordWrong, tooMany */
export async function provePassword(
  { db }: Pick<Context, 'db'>,
  colleagueId: number,
  { password, address }: { password: string; address: string },
): Promise<void> {
  await limitTries(db, { email: `password of ${colleagueId}`, address })
  const hash = (await stored.passwordOf(db, colleagueId)) ?? ''
  if (!(await checkPassword(password, hash))) throw new Refusal('passwordWrong')
}

/** Another password of one's own; every other device is signed out. @throws Refusal passwordWrong, tooMany */
export async function changePassword(
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  { old, password }: PasswordDraft,
  { token, address }: { token: string; address: string },
): Promise<undefined> {
  const id = reader.colleagueId
  await provePassword({ db }, id, { password: old, address })
  const passwordHash = await hashPassword(password)
  return db.inTransaction(async (tx) => {
    const ended = await stored.setPassword(db, { id, passwordHash, keep: hashOf(token) }, tx)
    for (const hash of ended) await live.end(hash.toString('hex'), tx)
    await record(db, reader, { kind: 'changePassword', on: ['colleague', id] }, tx)
    return undefined
  })
}

/** Sends a link to a new password to whoever has an account under this address, and says to nobody whether somebody has. */
export async function forgotPassword(
  { db, due, config }: Pick<Context, 'db' | 'due' | 'config'>,
  { email }: { email: string },
  { address }: { address: string },
): Promise<undefined> {
  const folded = email.trim().toLowerCase()
  await limitTries(db, { email: `forgot ${folded}`, address })
  const colleague = await stored.colleagueByEmail(db, folded)
  if (!colleague || (await stored.resetsLately(db, colleague.id)) >= mostResets) return undefined
  const token = randomBytes(24).toString('base64url')
  return db.inTransaction(async (tx) => {
    await stored.insertReset(
      db,
      { tokenHash: hashOf(token), colleagueId: colleague.id, minutes: resetMinutes },
      tx,
    )
    await post(
      { db, due },
      {
        address: folded,
        subject: 'A new password for Murrabel',
        text: [
          `Somebody asked for a new password for ${folded}.`,
          `Choose it here; the link works once, and for ${resetMinutes} minutes:\n${config.publicAddress}/new-password/${token}`,
          'If that was not you, do nothing: your password stays as it is.',
        ].join('\n\n'),
      },
      tx,
    )
    return undefined
  })
}

/** A new password by a link; every device is signed out. @throws Refusal linkEnded */
export async function resetPassword(
  { db, live }: Pick<Context, 'db' | 'live'>,
  token: string,
  { password }: { password: string },
): Promise<undefined> {
  const passwordHash = await hashPassword(password)
  return db.inTransaction(async (tx) => {
    const id = await stored.useReset(db, hashOf(token), tx)
    if (id === undefined) throw new Refusal('linkEnded')
    const ended = await stored.setPassword(db, { id, passwordHash, keep: null }, tx)
    for (const hash of ended) await live.end(hash.toString('hex'), tx)
    return undefined
  })
}

/** Devices on which one is signed in. */
export async function listSessions(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  token: string,
): Promise<SessionAnswer[]> {
  const own = hashOf(token)
  return (await stored.sessionsOf(db, reader.colleagueId)).map(({ hash, at, seenAt, ...row }) => ({
    ...row,
    at: at.toISOString(),
    seenAt: seenAt?.toISOString() ?? null,
    own: own.equals(hash),
  }))
}

export const endSession = (
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  id: number,
): Promise<undefined> =>
  db.inTransaction(async (tx) => {
    const hash = await stored.deleteSession(db, { id, colleagueId: reader.colleagueId }, tx)
    if (!hash) throw new Refusal('notFound')
    await live.end(hash.toString('hex'), tx)
    return undefined
  })
