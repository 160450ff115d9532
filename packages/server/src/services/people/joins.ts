import { joinsBetween, shownAs } from '@murrabel/core/people'
import type { PairDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Database, Tx } from '../../store/database.ts'
import {
  insertJoins,
  joinById,
  keepApart as storeApart,
  membersOf,
  noLongerApart,
  setShownAs,
  standingJoins,
  undoJoins,
  type JoinReason,
} from '../../store/queries/people/joins.ts'
import { holdPeople } from '../../store/queries/people/meeting.ts'
import { bestProposals, visiblePeople } from '../../store/queries/people/people.ts'
import { recordAll, type Actor } from '../log/index.ts'

type Parts = Pick<Context, 'db' | 'live'>

/** Joins pairs of people, and shows each group as one; every join leaves a line in the log. Answers the joins that are new. */
export async function join(
  db: Database,
  actor: Actor,
  pairs: readonly { one: number; other: number; reasons: readonly JoinReason[] }[],
  tx: Tx,
): Promise<{ id: number; one: number; other: number }[]> {
  if (!pairs.length) return []
  const colleagueId = 'colleagueId' in actor ? actor.colleagueId : null
  const made = await insertJoins(db, { brandId: actor.brandId, colleagueId, joins: pairs }, tx)
  await regroup(
    db,
    pairs.flatMap(({ one, other }) => [one, other]),
    tx,
  )
  await recordAll(
    db,
    actor,
    made.map(({ id, one, other }) => ({
      kind: 'joinPeople',
      on: ['person', one] as const,
      detail: { join: id, one, other },
    })),
    tx,
  )
  return made
}

/** Shows everybody who has to do with these as the joins that stand say. */
async function regroup(db: Database, people: readonly number[], tx: Tx): Promise<void> {
  const members = await membersOf(db, people, tx)
  const shown = shownAs(members, await standingJoins(db, members, tx))
  await setShownAs(
    db,
    [...shown].map(([id, as]) => ({ id, as })),
    tx,
  )
}

/** Both, as the reader may see them. @throws Refusal notFound */
async function seenPair(
  db: Database,
  reader: Reader,
  { one, other }: PairDraft,
  tx: Tx,
): Promise<{ one: number; other: number; same: boolean }> {
  await holdPeople(db, reader.brandId, tx)
  const shown = await visiblePeople(db, reader, [one, other], tx)
  const [a, b] = [shown.get(one), shown.get(other)]
  if (a === undefined || b === undefined) throw new Refusal('notFound')
  return { one, other, same: a === b }
}

/** Says that two are one person; what is theirs stays with each, so that it can be undone. */
export function joinPeople(
  { db, live }: Parts,
  reader: Reader,
  draft: PairDraft,
): Promise<{ person: number; join: number }> {
  return db.inTransaction(async (tx) => {
    const { one, other, same } = await seenPair(db, reader, draft, tx)
    if (same) throw new Refusal('samePerson')
    const [people, others] = [await membersOf(db, [one], tx), await membersOf(db, [other], tx)]
    await noLongerApart(db, { people, others }, tx)
    const reasons = await reasonsFor(db, reader.brandId, { one, other })
    const [made] = await join(db, reader, [{ one, other, reasons }], tx)
    await live.tell(reader.brandId, { kind: 'people' }, tx)
    return { person: Math.min(...people, ...others), join: made!.id }
  })
}

/** What spoke for it when they were joined. */
async function reasonsFor(db: Database, brandId: number, { one, other }: PairDraft): Promise<JoinReason[]> {
  const found = await bestProposals(db, { brandId, person: one, limit: 50 })
  return found.find((each) => [each.one, each.other].includes(other))?.reasons ?? []
}

/** Takes a join back: everybody is who they were before it. */
export function undoJoin({ db, live }: Parts, reader: Reader, id: number): Promise<undefined> {
  return db.inTransaction(async (tx) => {
    await holdPeople(db, reader.brandId, tx)
    const found = await joinById(db, { id, brandId: reader.brandId }, tx)
    const seen = found && (await visiblePeople(db, reader, [found.one], tx))
    if (!found || !seen?.size) throw new Refusal('notFound')
    if (found.undoneAt) throw new Refusal('joinUndone')
    await undoJoins(db, [id], tx)
    await regroup(db, [found.one, found.other], tx)
    await recordAll(
      db,
      reader,
      [
        {
          kind: 'undoJoin',
          on: ['person', found.one],
          detail: { join: id, one: found.one, other: found.other },
        },
      ],
      tx,
    )
    await live.tell(reader.brandId, { kind: 'people' }, tx)
    return undefined
  })
}

/** Says that two are not the same: nobody proposes them again, and what joined them is undone. */
export function keepApart({ db, live }: Parts, reader: Reader, draft: PairDraft): Promise<undefined> {
  return db.inTransaction(async (tx) => {
    const { one, other, same } = await seenPair(db, reader, draft, tx)
    if (one === other) throw new Refusal('samePerson')
    const { brandId, colleagueId } = reader
    if (same) {
      const standing = await standingJoins(db, await membersOf(db, [one], tx), tx)
      const undone = joinsBetween(standing, one, other)
      await undoJoins(
        db,
        undone.map(({ id }) => id),
        tx,
      )
    }
    await storeApart(db, { brandId, colleagueId, one, other }, tx)
    await regroup(db, [one, other], tx)
    await recordAll(db, reader, [{ kind: 'keepApart', on: ['person', one], detail: { one, other } }], tx)
    await live.tell(brandId, { kind: 'people' }, tx)
    return undefined
  })
}

/** That two are not the same is taken back: they may be proposed, or joined, again. */
export function undoApart({ db, live }: Parts, reader: Reader, draft: PairDraft): Promise<undefined> {
  return db.inTransaction(async (tx) => {
    const { one, other } = await seenPair(db, reader, draft, tx)
    const [people, others] = [await membersOf(db, [one], tx), await membersOf(db, [other], tx)]
    await noLongerApart(db, { people, others }, tx)
    await recordAll(db, reader, [{ kind: 'undoApart', on: ['person', one], detail: { one, other } }], tx)
    await live.tell(reader.brandId, { kind: 'people' }, tx)
    return undefined
  })
}
