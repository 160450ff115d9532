import { belongings } from '@murrabel/core/people'
import type { ThreadVisitsAnswer, Visit, VisitDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { placeNames } from '../../store/queries/brand/brand.ts'
import { visibleThreads } from '../../store/queries/inbox/visibleThreads.ts'
import { visiblePeople } from '../../store/queries/people/people.ts'
import * as stored from '../../store/queries/people/visits.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { record } from '../log/index.ts'

type Reading = Pick<Context, 'db' | 'now'>
type Writing = Reading & Pick<Context, 'live'>

/** Visits that may belong to a thread lie at most so far from it; more of one person are not looked at. */
const near = { daysBefore: 40, daysAfter: 70, most: 200 }
/** Letters of a thread that are read for it. */
const lettersRead = 20_000
const proposalsShown = 3

async function seen({ db }: Reading, reader: Reader, given: number, tx: Tx): Promise<number> {
  const person = (await visiblePeople(db, reader, [given], tx)).get(given)
  if (person === undefined) throw new Refusal('notFound')
  return person
}

/** A draft as a visit, at a place that is the reader's to say. @throws Refusal notFound */
async function keepable({ db }: Reading, reader: Reader, draft: VisitDraft): Promise<stored.StoredVisit> {
  const placeId = draft.placeId ?? null
  if (reader.placeIds && (placeId === null || !reader.placeIds.includes(placeId)))
    throw new Refusal('notFound')
  if (placeId !== null && !(await placeNames(db, reader.brandId)).some(({ id }) => id === placeId))
    throw new Refusal('notFound')
  const price = draft.price ?? null
  return {
    reference: draft.reference?.replace(/^~+/, '') || null,
    at: new Date(draft.at).toISOString(),
    route: draft.route ?? '',
    ship: draft.ship ?? '',
    placeId,
    party: draft.party ?? null,
    price,
    currency: price === null ? null : (draft.currency ?? null),
    state: draft.state ?? 'done',
    source: 'hand',
  }
}

/** Notes a visit by hand. @throws Refusal visitKnown */
export function addVisit(parts: Writing, reader: Reader, given: number, draft: VisitDraft): Promise<Visit> {
  const { db, live, now } = parts
  return db.inTransaction(async (tx) => {
    const person = await seen(parts, reader, given, tx)
    const visit = await stored.insertVisit(
      db,
      {
        brandId: reader.brandId,
        person,
        visit: await keepable(parts, reader, draft),
        toldAt: new Date(now()),
      },
      tx,
    )
    if (!visit) throw new Refusal('visitKnown')
    await record(db, reader, { kind: 'addVisit', on: ['person', person], detail: { visit } }, tx)
    await live.tell(reader.brandId, { kind: 'people' }, tx)
    return visit
  })
}

/** @throws Refusal notFound, visitKnown, or changed by somebody else meanwhile */
export function changeVisit(
  parts: Writing,
  reader: Reader,
  { id: given, visit: id }: { id: number; visit: number },
  draft: VisitDraft,
): Promise<Visit> {
  const { db, live, now } = parts
  return db.inTransaction(async (tx) => {
    const person = await seen(parts, reader, given, tx)
    const before = await stored.visitOfPerson(db, reader, { id, person }, tx)
    if (!before) throw new Refusal('notFound')
    await checkEdition({ db }, 'visits', { id, brandId: reader.brandId }, draft.edition, tx)
    const visit = await stored.setVisit(
      db,
      {
        id,
        brandId: reader.brandId,
        visit: await keepable(parts, reader, draft),
        toldAt: new Date(now()),
      },
      tx,
    )
    if (!visit) throw new Refusal('visitKnown')
    await record(db, reader, { kind: 'changeVisit', on: ['person', person], detail: { before, visit } }, tx)
    await live.tell(reader.brandId, { kind: 'people' }, tx)
    return visit
  })
}

export function removeVisit(
  parts: Writing,
  reader: Reader,
  { id: given, visit: id }: { id: number; visit: number },
): Promise<undefined> {
  const { db, live } = parts
  return db.inTransaction(async (tx) => {
    const person = await seen(parts, reader, given, tx)
    const visit = await stored.visitOfPerson(db, reader, { id, person }, tx)
    if (!visit) throw new Refusal('notFound')
    await stored.deleteVisit(db, id, tx)
    await record(db, reader, { kind: 'removeVisit', on: ['person', person], detail: { visit } }, tx)
    await live.tell(reader.brandId, { kind: 'people' }, tx)
    return undefined
  })
}

/** Which visit a thread is about: what was said, or what may be. */
export async function threadVisits(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  threadId: number,
): Promise<ThreadVisitsAnswer> {
  if (!(await visibleThreads(db, reader, [threadId])).length) throw new Refusal('notFound')
  const thread = await stored.threadOfPerson(db, { id: threadId, letters: lettersRead })
  if (!thread) return { visit: null, proposals: [] }
  const at = thread.at.getTime()
  const visits = await stored.visitsNear(db, reader, {
    thread: threadId,
    person: thread.person,
    at: thread.at,
    ...near,
  })
  const said = visits.find(({ belongs }) => belongs)
  if (said) return { visit: said.visit, proposals: [] }
  const open = visits.flatMap(({ belongs, visit }) =>
    belongs === false ? [] : [{ ...visit, at: Date.parse(visit.at), visit }],
  )
  const found = belongings({ at, placeId: thread.placeId, text: thread.text ?? '' }, open)
  return {
    visit: null,
    proposals: found
      .slice(0, proposalsShown)
      .map(({ visit: { visit }, weight, reasons }) => ({ visit, weight, reasons })),
  }
}

/** Says that a thread is about a visit, or is not; null takes it back. */
export async function sayVisit(
  parts: Writing,
  reader: Reader,
  { id: threadId, visit: id }: { id: number; visit: number },
  belongs: boolean | null,
): Promise<ThreadVisitsAnswer> {
  const { db, live } = parts
  await db.inTransaction(async (tx) => {
    if (!(await visibleThreads(db, reader, [threadId], tx)).length) throw new Refusal('notFound')
    const thread = await stored.threadOfPerson(db, { id: threadId, letters: 0 }, tx)
    const visit = thread && (await stored.visitOfPerson(db, reader, { id, person: thread.person }, tx))
    if (!visit) throw new Refusal('notFound')
    await stored.setBelongs(db, { thread: threadId, visit: id, belongs, colleagueId: reader.colleagueId }, tx)
    await record(
      db,
      reader,
      { kind: 'sayVisit', on: ['thread', threadId], detail: { visit: id, belongs } },
      tx,
    )
    await live.tell(reader.brandId, { kind: 'people' }, tx)
  })
  return threadVisits(parts, reader, threadId)
}
