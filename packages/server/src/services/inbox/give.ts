import type { GiveDraft, ThreadChangeAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { readerOfMember } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { answerersThere } from '../../store/queries/absences/absences.ts'
import { teamOf } from '../../store/queries/absences/teams.ts'
import type { LockedThread } from '../../store/queries/inbox/change.ts'
import { mayAccess } from '../../store/queries/shared/where.ts'
import type { Database, Tx } from '../../store/database.ts'
import { notify } from '../together/index.ts'
import { lockThread, unchanged, writeChange } from './writeChange.ts'

type Parts = Pick<Context, 'db' | 'live' | 'now' | 'due'>

/** What somebody says who hands over: why this is left, and what holds for all they hand over. */
export interface Handed {
  why: string
  word: string
}

/**
 * Gives a thread to a colleague, to nobody, to a team, whose it is until somebody of it takes it, or to whoever of a team
 * has the fewest.
 *
 * @param handed with what is said at the end of a shift
 * @throws Refusal notFound, nobodyThere, invalid when the colleague cannot see the thread
 */
export async function giveThread(
  parts: Parts,
  reader: Reader,
  id: number,
  { to, team = null, share = false }: GiveDraft,
  handed?: Handed,
): Promise<ThreadChangeAnswer> {
  return parts.db.inTransaction(async (tx) => {
    const thread = await lockThread(parts.db, reader, id, tx)
    const mayTake = team === null ? [] : await takersOf(parts.db, thread, team, tx)
    const teamId = share ? null : team
    const givenTo = team === null ? to : share ? mayTake[0]! : null
    // With a word, also what stays with them is worth a line.
    if (thread.givenTo === givenTo && thread.teamId === teamId && !handed?.why) return unchanged(thread)
    if (team === null && givenTo !== null) await checkReceiver(parts.db, thread, givenTo, tx)
    const whose = teamId === null ? { to: givenTo } : { team: teamId }
    const answer = await writeChange(
      parts,
      reader,
      thread,
      { kind: handed ? 'handOver' : 'give', owner: { givenTo, teamId }, detail: { ...whose, ...handed } },
      tx,
    )
    // After the change, which takes back what was told of the last owner.
    const told = teamId === null ? (givenTo === null ? [] : [givenTo]) : mayTake
    await notify(
      parts,
      {
        brandId: reader.brandId,
        kind: teamId === null ? 'given' : 'givenTeam',
        to: told.map((whom) => ({ whom, thread: id })),
        by: reader.colleagueId,
      },
      tx,
    )
    return answer
  })
}

/**
 * Of a team, those who are there and may see the thread, whoever has the fewest open ones first.
 *
 * @throws Refusal notFound, nobodyThere
 */
async function takersOf(db: Database, thread: LockedThread, team: number, tx: Tx): Promise<number[]> {
  const { brandId } = thread
  if (!(await teamOf(db, { id: team, brandId }, tx))) throw new Refusal('notFound')
  const there = await answerersThere(db, { brandId, team }, tx)
  const found = there.filter((each) => each.inTeam && mayAccess(each, thread))
  if (!found.length) throw new Refusal('nobodyThere')
  return found.map(({ colleagueId }) => colleagueId)
}

/** A thread is given only to somebody who can see it. */
async function checkReceiver(db: Database, thread: LockedThread, to: number, tx: Tx): Promise<void> {
  const receiver = await readerOfMember(db, to, thread.brandId, tx)
  // Whoever is not on the brand is nobody here.
  if (!receiver) throw new Refusal('notFound')
  if (!mayAccess(receiver, thread))
    throw new Refusal('invalid', {
      fields: [
        {
          field: 'to',
          code: 'cannotSee',
          message:
            'This colleague cannot see the thread: it belongs to a place or profile that is not theirs.',
        },
      ],
    })
}
