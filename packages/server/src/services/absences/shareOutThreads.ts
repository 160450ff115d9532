import { shareOut, type Taker } from '@murrabel/core/inbox'
import type { Context } from '../../context.ts'
import type { Tx } from '../../store/database.ts'
import {
  answerersThere,
  openThreadsOf,
  setGiven,
  type Answerer,
  type OpenThread,
} from '../../store/queries/absences/absences.ts'
import { mayAccess } from '../../store/queries/shared/where.ts'
import { recordAll, type Actor } from '../log/index.ts'
import { notify } from '../together/index.ts'

/** A colleague or a team; both null: those who answer and see all. */
export interface Takers {
  takeOver: number | null
  team: number | null
}

export interface Moved {
  id: number
  to: number | null
}

const takerOf = (answerer: Answerer): Taker<OpenThread> => ({
  id: answerer.colleagueId,
  sees: (thread) => mayAccess(answerer, thread),
})

/** Who is asked first, and who for what those may not see. */
export function groupsOf(there: readonly Answerer[], { takeOver, team }: Takers) {
  const chosen = (each: Answerer): boolean => {
    if (takeOver !== null) return each.colleagueId === takeOver
    if (team !== null) return each.inTeam
    return each.placeIds === null && each.profileIds === null
  }
  return { first: there.filter(chosen).map(takerOf), rest: there.map(takerOf) }
}

/**
 * Gives the open threads of somebody to others who are there and may see them; what nobody may see is nobody's. It stands in the log
 * of each thread. @param among these threads alone; null: all of them
 */
export async function shareOutThreads(
  parts: Pick<Context, 'db' | 'live' | 'due' | 'now'>,
  actor: Actor,
  { from, among, ...takers }: Takers & { from: number; among: readonly number[] | null },
  tx: Tx,
): Promise<Moved[]> {
  const { db } = parts
  const { brandId } = actor
  const threads = await openThreadsOf(db, { brandId, colleagueId: from, among }, tx)
  if (!threads.length) return []
  const there = (await answerersThere(db, { brandId, team: takers.team }, tx)).filter(
    ({ colleagueId }) => colleagueId !== from,
  )
  const { first, rest } = groupsOf(there, takers)
  const given = shareOut(threads, first, rest)
  const moved = threads.map(({ id }, i) => ({ id, to: given[i] ?? null }))
  await moveThreads(parts, actor, moved, { kind: 'cover', from }, tx)
  return moved
}

/** Writes down to whom threads went, and tells it. */
export async function moveThreads(
  parts: Pick<Context, 'db' | 'live' | 'due' | 'now'>,
  actor: Actor,
  moved: readonly Moved[],
  { kind, from }: { kind: 'cover' | 'coverEnds'; from: number },
  tx: Tx,
): Promise<void> {
  if (!moved.length) return
  const { db, live } = parts
  await setGiven(db, moved, tx)
  await recordAll(
    db,
    actor,
    moved.map(({ id, to }) => ({ kind, on: ['thread', id] as const, detail: { to, from } })),
    tx,
  )
  await notify(
    parts,
    {
      brandId: actor.brandId,
      kind: 'given',
      to: moved.flatMap(({ id, to }) => (to === null ? [] : { whom: to, thread: id })),
      by: 'colleagueId' in actor ? actor.colleagueId : null,
    },
    tx,
  )
  await live.tell(actor.brandId, { kind: 'thread', threads: moved.map(({ id }) => id) }, tx)
}
