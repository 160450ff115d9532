import type { ColleagueDraft, ColleagueSetUp, ColleaguesAnswer, LeaveDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import * as stored from '../../store/queries/colleagues/colleagues.ts'
import { shareOutThreads } from '../absences/index.ts'
import { record } from '../log/index.ts'
import { checkLimits, mayMake } from './invitations.ts'

export async function listColleagues({ db }: Pick<Context, 'db'>, reader: Reader): Promise<ColleaguesAnswer> {
  const [colleagues, invitations] = await Promise.all([
    stored.colleaguesSetUp(db, reader.brandId),
    stored.invitationsOf(db, reader.brandId),
  ])
  return { colleagues, invitations }
}

/** @throws Refusal lastOwner when nobody would be left who may do everything */
async function keepAnOwner(
  { db }: Pick<Context, 'db'>,
  brandId: number,
  leaving: number,
  tx: Tx,
): Promise<void> {
  const owners = await stored.ownersOf(db, brandId, tx)
  if (owners.every((id) => id === leaving)) throw new Refusal('lastOwner')
}

/** Role, places and profiles of somebody; from their next request on. @throws Refusal onlyOwners, lastOwner, notFound */
export function changeColleague(
  { db, live }: Pick<Context, 'db' | 'live'>,
  reader: Reader,
  id: number,
  draft: ColleagueDraft,
): Promise<ColleagueSetUp> {
  const { brandId } = reader
  return db.inTransaction(async (tx) => {
    const before = await stored.lockMember(db, { id, brandId }, tx)
    if (!before) throw new Refusal('notFound')
    mayMake(reader, draft.role)
    mayMake(reader, before.role)
    await checkLimits({ db }, brandId, draft, tx)
    const { placeIds, profileIds } = draft
    // An owner who sees a part is no owner of all of it.
    const stays = draft.role === 'owner' && placeIds === null && profileIds === null
    if (before.role === 'owner' && !stays) await keepAnOwner({ db }, brandId, id, tx)
    await stored.setMember(db, { id, brandId, role: draft.role, placeIds, profileIds }, tx)
    const { role, placeIds: places, profileIds: profiles } = before
    await record(
      db,
      reader,
      {
        kind: 'changeColleague',
        on: ['colleague', id],
        detail: { before: { role, places, profiles }, draft },
      },
      tx,
    )
    await live.tell(brandId, { kind: 'brand' }, tx)
    return (await stored.lockMember(db, { id, brandId }, tx))!
  })
}

/**
 * Somebody works here no longer: sessions and keys of this brand end, open threads go to others, what they did stays under their
 * name. @throws Refusal onlyOwners, lastOwner, notFound
 */
export function leaveBrand(
  parts: Pick<Context, 'db' | 'live' | 'due' | 'now'>,
  reader: Reader,
  id: number,
  { takeOver }: LeaveDraft,
): Promise<undefined> {
  const { db, live } = parts
  const { brandId } = reader
  return db.inTransaction(async (tx) => {
    const member = await stored.lockMember(db, { id, brandId }, tx)
    if (!member) throw new Refusal('notFound')
    mayMake(reader, member.role)
    await keepAnOwner({ db }, brandId, id, tx)
    if (
      takeOver !== null &&
      (takeOver === id || !(await stored.lockMember(db, { id: takeOver, brandId }, tx)))
    )
      throw new Refusal('notFound')
    const threads = await shareOutThreads(parts, reader, { from: id, takeOver, team: null, among: null }, tx)
    const ended = await stored.removeMember(db, { id, brandId }, tx)
    for (const hash of ended) await live.end(hash.toString('hex'), tx)
    await record(
      db,
      reader,
      { kind: 'leave', on: ['colleague', id], detail: { threads: threads.length, takeOver } },
      tx,
    )
    await live.tell(brandId, { kind: 'brand' }, tx)
    if (threads.length) await live.tell(brandId, { kind: 'afresh' }, tx)
    return undefined
  })
}
