import type {
  CodeDraft,
  Proven,
  RecoveryCodes,
  SecondFactorAnswer,
  SecondFactorBegun,
} from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { seal, unseal } from '../../access/seal.ts'
import { codesOf, newRecoveryCodes, newSecret, recoveryHash, stepOf } from '../../access/secondFactor.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { lockMember } from '../../store/queries/colleagues/colleagues.ts'
import * as stored from '../../store/queries/colleagues/secondFactor.ts'
import { post } from '../letters/index.ts'
import { record } from '../log/index.ts'
import { mayMake } from './invitations.ts'
import { provePassword } from './passwords.ts'

type From = { address: string }

export async function ownSecondFactor(
  { db }: Pick<Context, 'db'>,
  { colleagueId }: Reader,
): Promise<SecondFactorAnswer> {
  const own = await stored.secondFactorOf(db, colleagueId)
  return { since: own?.since?.toISOString() ?? null, codesLeft: own?.since ? own.codesLeft : 0 }
}

/** A new secret for the app; nothing is asked for until its first code was seen. @throws Refusal passwordWrong, secondFactorOn */
export async function beginSecondFactor(
  { db, config }: Pick<Context, 'db' | 'config'>,
  { colleagueId }: Reader,
  { password }: Proven,
  from: From,
): Promise<SecondFactorBegun> {
  await provePassword({ db }, colleagueId, { password, ...from })
  return db.inTransaction(async (tx) => {
    const own = (await stored.secondFactorOf(db, colleagueId, tx))!
    if (own.since) throw new Refusal('secondFactorOn')
    const secret = newSecret()
    await stored.setSecret(db, { colleagueId, secret: seal(secret, config.sealingKey) }, tx)
    return { secret, uri: codesOf(secret, own.email).toString() }
  })
}

/** The first code of the app. @throws Refusal secondFactorOn, secondFactorOff, codeWrong */
export const confirmSecondFactor = (
  { db, config }: Pick<Context, 'db' | 'config'>,
  reader: Reader,
  { code }: CodeDraft,
): Promise<RecoveryCodes> =>
  db.inTransaction(async (tx) => {
    const { colleagueId } = reader
    const own = (await stored.secondFactorOf(db, colleagueId, tx))!
    if (own.since) throw new Refusal('secondFactorOn')
    if (!own.secret) throw new Refusal('secondFactorOff')
    const step = stepOf(codesOf(unseal(own.secret, config.sealingKey), own.email), code)
    if (step === null) throw new Refusal('codeWrong')
    await stored.useStep(db, { colleagueId, step }, tx)
    await stored.setOn(db, colleagueId, tx)
    await record(db, reader, { kind: 'secondFactorOn', on: ['colleague', colleagueId] }, tx)
    return giveCodes({ db }, colleagueId, tx)
  })

async function giveCodes({ db }: Pick<Context, 'db'>, colleagueId: number, tx: Tx): Promise<RecoveryCodes> {
  const codes = newRecoveryCodes()
  await stored.setRecoveryCodes(db, { colleagueId, hashes: codes.map(recoveryHash) }, tx)
  return { codes }
}

/** @throws Refusal passwordWrong, tooMany */
export async function endSecondFactor(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  { password }: Proven,
  from: From,
): Promise<undefined> {
  const { colleagueId } = reader
  await provePassword({ db }, colleagueId, { password, ...from })
  return db.inTransaction(async (tx) => {
    await stored.setOff(db, colleagueId, tx)
    await record(db, reader, { kind: 'secondFactorOff', on: ['colleague', colleagueId] }, tx)
    return undefined
  })
}

/** @throws Refusal passwordWrong, tooMany, secondFactorOff */
export async function renewRecoveryCodes(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  { password }: Proven,
  from: From,
): Promise<RecoveryCodes> {
  const { colleagueId } = reader
  await provePassword({ db }, colleagueId, { password, ...from })
  return db.inTransaction(async (tx) => {
    if (!(await stored.secondFactorOf(db, colleagueId, tx))?.since) throw new Refusal('secondFactorOff')
    await record(db, reader, { kind: 'newRecoveryCodes', on: ['colleague', colleagueId] }, tx)
    return giveCodes({ db }, colleagueId, tx)
  })
}

/**
 * Takes the second factor off somebody who has lost app and codes; they hear of it by mail. Owners of this brand cannot open the door
 * to another.
 *
 * @throws Refusal notFound, onlyOwners, worksElsewhere, secondFactorOff
 */
export const liftSecondFactor = (
  { db, due }: Pick<Context, 'db' | 'due'>,
  reader: Reader,
  id: number,
): Promise<undefined> =>
  db.inTransaction(async (tx) => {
    const { brandId } = reader
    const member = await lockMember(db, { id, brandId }, tx)
    if (!member) throw new Refusal('notFound')
    mayMake(reader, member.role)
    if (await stored.worksElsewhere(db, { colleagueId: id, brandId }, tx)) throw new Refusal('worksElsewhere')
    if (!(await stored.secondFactorOf(db, id, tx))?.since) throw new Refusal('secondFactorOff')
    await stored.setOff(db, id, tx)
    await post(
      { db, due },
      {
        address: member.email,
        subject: 'Your second factor for Murrabel is off',
        text: [
          'Somebody who may set up your brand has switched off your second factor. From now on you sign in with your password alone.',
          'If you did not ask for this, change your password and tell an owner of the brand. You can switch the second factor on again under "Your account".',
        ].join('\n\n'),
      },
      tx,
    )
    await record(db, reader, { kind: 'secondFactorOff', on: ['colleague', id] }, tx)
    return undefined
  })
