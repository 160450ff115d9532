import type { Absence, AbsenceDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { readerOfMember } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { brandOwner } from '../../jobs/due/dueWork.ts'
import type { WorkOutcome } from '../../jobs/due/next.ts'
import type { Piece } from '../../jobs/due/piece.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import * as stored from '../../store/queries/absences/absences.ts'
import { teamOf } from '../../store/queries/absences/teams.ts'
import { record, type Actor } from '../log/index.ts'
import { moveThreads, shareOutThreads } from './shareOutThreads.ts'

type Parts = Pick<Context, 'db' | 'live' | 'due' | 'now'>
interface Key {
  brandId: number
  colleagueId: number
}

const day = 86_400_000

export const listAbsences = ({ db }: Pick<Context, 'db'>, { brandId }: Reader): Promise<Absence[]> =>
  stored.absencesOf(db, brandId)

const subjectOf = ({ brandId, colleagueId }: Key) => `${brandId} ${colleagueId}`
const ask = ({ due }: Parts, key: Key, at: Date | undefined, tx: Tx) =>
  due.ask({ kind: 'absence', subject: subjectOf(key), owner: brandOwner(key.brandId), at: at?.getTime() }, tx)

/**
 * Says on which days somebody is not there, in place of what was said before. Begins at once where the first day has begun.
 *
 * @throws Refusal notFound, awayOver, awayLong, takerAway
 */
export function setAbsence(
  parts: Parts,
  reader: Reader,
  colleagueId: number,
  draft: AbsenceDraft,
): Promise<Absence> {
  const { db, live, now } = parts
  const key = { brandId: reader.brandId, colleagueId }
  return db.inTransaction(async (tx) => {
    if (!(await readerOfMember(db, colleagueId, key.brandId, tx))) throw new Refusal('notFound')
    const span = await stored.spanOfDays(db, { ...key, ...draft }, tx)
    if (draft.until < draft.from || span.untilAt.getTime() <= now()) throw new Refusal('awayOver')
    const length = span.untilAt.getTime() - span.fromAt.getTime()
    if (length > 366 * day || span.fromAt.getTime() > now() + 731 * day) throw new Refusal('awayLong')
    const takers = { takeOver: draft.takeOver ?? null, team: draft.team ?? null }
    await checkTakers(parts, key, { ...takers, ...span }, tx)
    const before = await stored.lockAbsence(db, key, tx)
    // What others hold goes back first, so that it can be shared out as is said now.
    if (before?.begun) await giveBack(parts, reader, key, tx)
    await stored.upsertAbsence(db, { ...key, ...draft, ...span, ...takers, begun: false }, tx)
    await record(db, reader, { kind: 'setAbsence', on: ['colleague', colleagueId], detail: { ...draft } }, tx)
    if (span.fromAt.getTime() <= now()) await begin(parts, reader, key, takers, tx)
    await parts.due.drop('absence', [subjectOf(key)], tx)
    await ask(parts, key, span.fromAt.getTime() <= now() ? span.untilAt : span.fromAt, tx)
    await live.tell(key.brandId, { kind: 'brand' }, tx)
    const { fromAt: _, untilAt: __, ...absence } = (await stored.lockAbsence(db, key, tx))!
    return absence
  })
}

/** Whoever takes over answers here, is there, and is somebody else. */
async function checkTakers(
  { db }: Parts,
  { brandId, colleagueId }: Key,
  { takeOver, team, ...span }: { takeOver: number | null; team: number | null; fromAt: Date; untilAt: Date },
  tx: Tx,
): Promise<void> {
  if (team !== null && !(await teamOf(db, { id: team, brandId }, tx))) throw new Refusal('notFound')
  if (takeOver === null) return
  const taker = await readerOfMember(db, takeOver, brandId, tx)
  if (!taker) throw new Refusal('notFound')
  if (
    takeOver === colleagueId ||
    taker.role === 'reader' ||
    (await stored.isAwayWithin(db, { brandId, colleagueId: takeOver, ...span }, tx))
  )
    throw new Refusal('takerAway')
}

async function begin(
  parts: Parts,
  actor: Actor,
  { brandId, colleagueId }: Key,
  { takeOver, team }: { takeOver: number | null; team: number | null },
  tx: Tx,
): Promise<void> {
  const { db } = parts
  await stored.setBegun(db, { brandId, colleagueId }, tx)
  await cover(parts, actor, { colleagueId, takeOver, team, among: null }, tx)
}

async function cover(
  parts: Pick<Context, 'db' | 'live' | 'due' | 'now'>,
  actor: Actor,
  {
    colleagueId,
    ...how
  }: { colleagueId: number; takeOver: number | null; team: number | null; among: readonly number[] | null },
  tx: Tx,
): Promise<void> {
  const moved = await shareOutThreads(parts, actor, { from: colleagueId, ...how }, tx)
  const taken = moved.flatMap(({ id, to }) => (to === null ? [] : [{ id, to }]))
  await stored.keepCovers(parts.db, colleagueId, taken, tx)
}

/** What is still open and still with whoever took it goes back. */
async function giveBack(parts: Parts, actor: Actor, key: Key, tx: Tx): Promise<void> {
  const back = await stored.takeCovers(parts.db, key, tx)
  const { colleagueId } = key
  const moved = back.map((id) => ({ id, to: colleagueId }))
  await moveThreads(parts, actor, moved, { kind: 'coverEnds', from: colleagueId }, tx)
}

/** Somebody is there again, or does not go. @throws Refusal notFound */
export function endAbsence(parts: Parts, reader: Reader, colleagueId: number): Promise<undefined> {
  const { db, live, due } = parts
  const key = { brandId: reader.brandId, colleagueId }
  return db.inTransaction(async (tx) => {
    const absence = await stored.lockAbsence(db, key, tx)
    if (!absence) throw new Refusal('notFound')
    await giveBack(parts, reader, key, tx)
    await stored.deleteAbsence(db, key, tx)
    await due.drop('absence', [subjectOf(key)], tx)
    const { from, until } = absence
    await record(
      db,
      reader,
      { kind: 'endAbsence', on: ['colleague', colleagueId], detail: { from, until } },
      tx,
    )
    await live.tell(key.brandId, { kind: 'brand' }, tx)
    return undefined
  })
}

/** Begins or ends an absence when its time has come. */
export function changeAbsence(parts: Parts, { subject }: Pick<Piece, 'subject'>): Promise<WorkOutcome> {
  const { db, live, now } = parts
  const [brandId = 0, colleagueId = 0] = subject.split(' ').map(Number)
  const key = { brandId, colleagueId }
  const system = { brandId, actor: 'system' as const }
  return db.inTransaction(async (tx) => {
    const absence = await stored.lockAbsence(db, key, tx)
    if (!absence) return 'done'
    const untilBegin = absence.fromAt.getTime() - now()
    if (untilBegin > 0) return { againInMs: untilBegin }
    const untilEnd = absence.untilAt.getTime() - now()
    if (untilEnd > 0) {
      if (!absence.begun) {
        await begin(parts, system, key, absence, tx)
        await live.tell(brandId, { kind: 'brand' }, tx)
      }
      return { againInMs: untilEnd }
    }
    await giveBack(parts, system, key, tx)
    await stored.deleteAbsence(db, key, tx)
    await live.tell(brandId, { kind: 'brand' }, tx)
    return 'done'
  })
}

/** What has come in on threads of somebody who is away goes to whoever takes over. */
export async function coverThreads(
  parts: Pick<Context, 'db' | 'live' | 'due' | 'now'>,
  brandId: number,
  threads: readonly number[],
  tx: Tx,
): Promise<void> {
  for (const { colleagueId, takeOver, team } of await stored.awayNow(parts.db, brandId, tx))
    await cover(parts, { brandId, actor: 'system' }, { colleagueId, takeOver, team, among: threads }, tx)
}
