import { readEmail, readPhone } from '@murrabel/core/people'
import {
  fieldProblem,
  type NewPersonDraft,
  type PeopleAnswer,
  type PeopleCount,
  type PersonCard,
  type PersonDraft,
  type PersonWay,
  type Proposal,
  type ProposalsAnswer,
  type WayDraft,
  type LogKind,
} from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { followUpsOfPerson } from '../../store/queries/followUps/followUps.ts'
import { membersOf } from '../../store/queries/people/joins.ts'
import { holdPeople } from '../../store/queries/people/meeting.ts'
import * as customers from '../../store/queries/people/customers.ts'
import { countPeople as countStored } from '../../store/queries/people/count.ts'
import { parsePeopleKey, peoplePage, printPeopleKey } from '../../store/queries/people/page.ts'
import * as stored from '../../store/queries/people/people.ts'
import * as storedWays from '../../store/queries/people/ways.ts'
import { visitsOfPerson, visitSummaries } from '../../store/queries/people/visits.ts'
import { removeUnusedTags } from '../../store/queries/inbox/tags.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { lensContext, lensOf } from '../lens/index.ts'
import { namedTags } from '../inbox/index.ts'
import { record } from '../log/index.ts'
import { askToMeet } from './meet.ts'

const pageSize = 50
const entriesOnCard = 60
const proposalsShown = 20
const visitsOnCard = 60

type Reading = Pick<Context, 'db' | 'now'>
type Writing = Reading & Pick<Context, 'due' | 'live'>

/** People who said something under a lens. */
export async function listPeople(
  parts: Reading,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<PeopleAnswer> {
  const lens = lensOf(query, 'people')
  const context = await lensContext(parts, reader)
  const after = query.after === undefined ? null : parsePeopleKey(String(query.after), lens.peopleOrder)
  if (query.after !== undefined && !after)
    throw new Refusal('lensUnknown', {
      fields: [
        {
          field: 'after',
          code: 'unknown',
          message: 'This place in the list is not understood.',
          value: String(query.after),
        },
      ],
    })
  const rows = await peoplePage(parts.db, { lens, context, reader }, { limit: pageSize + 1, after })
  const shown = rows.slice(0, pageSize)
  const ids = shown.map(({ id }) => id)
  const [known, visits] = await Promise.all([
    stored.peopleBeside(parts.db, { lens, context, reader }, ids),
    visitSummaries(parts.db, reader, { people: ids, now: new Date(parts.now()) }),
  ])
  const beside = new Map(known.map((each) => [each.id, each]))
  return {
    rows: shown.map(({ key: _key, last, latest: _latest, ...row }) => ({
      ...row,
      last: last?.toISOString() ?? null,
      visits: visits.get(row.id) ?? { done: 0, latest: null, next: null },
      standing: beside.get(row.id)?.standing ?? null,
      note: beside.get(row.id)?.note ?? '',
      networks: beside.get(row.id)?.networks ?? [],
      sentiments: beside.get(row.id)?.sentiments ?? [],
      openThreads: beside.get(row.id)?.openThreads ?? 0,
    })),
    next: rows.length > pageSize ? printPeopleKey(shown.at(-1)!.key) : null,
  }
}

/** How many people a lens is about. */
export async function countPeople(
  parts: Reading,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<PeopleCount> {
  const lens = lensOf(query, 'people')
  const context = await lensContext(parts, reader)
  return { count: await countStored(parts.db, { lens, context, reader }) }
}

/** Whom an id shows, as far as the reader may know of them. @throws Refusal notFound */
async function seen({ db }: Pick<Context, 'db'>, reader: Reader, id: number, tx?: Tx): Promise<number> {
  const shown = (await stored.visiblePeople(db, reader, [id], tx)).get(id)
  if (shown === undefined) throw new Refusal('notFound')
  return shown
}

/** All that is known of somebody. */
export async function personCard({ db, now }: Reading, reader: Reader, given: number): Promise<PersonCard> {
  const id = await seen({ db }, reader, given)
  const ids = await membersOf(db, [id])
  const [person, accounts, ways, members, joins, counts, entries, proposals, followUps, tags, visits] =
    await Promise.all([
      stored.personById(db, id),
      stored.accountsOfPerson(db, id),
      storedWays.waysOfPerson(db, id),
      stored.membersOfPerson(db, ids),
      stored.joinsOfPeople(db, ids),
      stored.saidByPerson(db, reader, id),
      stored.entriesOfPerson(db, reader, id, entriesOnCard),
      proposalsOf({ db }, reader, id),
      followUpsOfPerson(db, reader, { person: id, now: now() }),
      customers.tagsOfPerson(db, id),
      visitsOfPerson(db, reader, { person: id, limit: visitsOnCard }),
    ])
  if (!person) throw new Refusal('notFound')
  return {
    ...person,
    erasedAt: person.erasedAt?.toISOString() ?? null,
    tags,
    accounts,
    ways,
    members,
    joins: joins.map((each) => ({ ...each, at: each.at.toISOString() })),
    ...counts,
    since:
      [counts.since?.toISOString(), visits.visits.at(-1)?.at].filter((at) => at !== undefined).sort()[0] ??
      null,
    entries: entries.map(({ score: _score, ...entry }) => entry),
    course: entries
      .map(({ at, score, sentiment }) => ({ at, score, sentiment }))
      .filter(({ sentiment }) => sentiment !== 'unread')
      .reverse(),
    proposals: proposals.proposals,
    followUps,
    ...visits,
  }
}

/** Pairs that may be the same; the best first. */
export const proposals = (parts: Pick<Context, 'db'>, reader: Reader): Promise<ProposalsAnswer> =>
  proposalsOf(parts, reader, null)

async function proposalsOf(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  person: number | null,
): Promise<ProposalsAnswer> {
  const rows = await stored.bestProposals(db, { brandId: reader.brandId, person, limit: proposalsShown })
  const ids = [...new Set(rows.flatMap(({ one, other }) => [one, other]))]
  const visible = await stored.visiblePeople(db, reader, ids)
  const members = new Map((await stored.membersOfPerson(db, ids)).map((each) => [each.id, each]))
  const shown = rows.flatMap(({ one, other, likeness, reasons }): Proposal[] => {
    const [a, b] = [members.get(one), members.get(other)]
    return a && b && visible.has(one) && visible.has(other) ? [{ one: a, other: b, likeness, reasons }] : []
  })
  // Whoever sees a part is not told how many there are of what they do not see.
  const limited = reader.placeIds !== null || reader.profileIds !== null
  return { proposals: shown, total: limited ? shown.length : (rows[0]?.total ?? 0) }
}

/** What a colleague says of somebody. */
export async function changePerson(
  parts: Writing,
  reader: Reader,
  given: number,
  { edition, tags, ...draft }: PersonDraft,
): Promise<PersonCard> {
  const { db, due, live } = parts
  const id = await db.inTransaction(async (tx) => {
    const person = await seen({ db }, reader, given, tx)
    await checkEdition({ db }, 'people', { id: person, brandId: reader.brandId }, edition, tx)
    const before = (await stored.personById(db, person, tx))!
    const { name, ...rest } = draft
    // An empty name is the network's again.
    const own = name === '' ? await stored.accountName(db, person, tx) : undefined
    const called =
      name === undefined
        ? undefined
        : { name: name || (own?.name ?? before.name), by: name ? reader.colleagueId : null }
    await stored.changePerson(db, { id: person, called, ...rest }, tx)
    if (tags) await setTags({ db }, reader, { person, names: tags }, tx)
    await record(
      db,
      reader,
      { kind: 'changePerson', on: ['person', person], detail: { before, draft, tags } },
      tx,
    )
    await askToMeet({ due }, reader.brandId, tx)
    await live.tell(reader.brandId, { kind: 'people' }, tx)
    return person
  })
  return personCard(parts, reader, id)
}

/** Exactly these tags; one that nobody bears any more is gone. */
async function setTags(
  { db }: Pick<Context, 'db'>,
  reader: Reader,
  { person, names }: { person: number; names: readonly string[] },
  tx: Tx,
): Promise<void> {
  const { brandId } = reader
  const before = await customers.tagsOfPerson(db, person, tx)
  const { ids } = await namedTags({ db }, { brandId, names, field: 'tags' }, tx)
  const gone = before.filter((id) => !ids.includes(id))
  const added = ids.filter((id) => !before.includes(id))
  await customers.putPersonTags(
    db,
    added.map((tag) => ({ person, tag })),
    tx,
  )
  await customers.removePersonTags(db, { person, tags: gone }, tx)
  await removeUnusedTags(db, { brandId, ids: gone }, tx)
}

/** Somebody whom no channel has brought, noted by hand. */
export async function addPerson(
  parts: Writing,
  reader: Reader,
  { name, email, phone, note = '' }: NewPersonDraft,
): Promise<PersonCard> {
  const { db, due, live } = parts
  const ways = [
    ...(email ? [{ kind: 'email', value: readWay({ kind: 'email', value: email }, 'email') } as const] : []),
    ...(phone ? [{ kind: 'phone', value: readWay({ kind: 'phone', value: phone }, 'phone') } as const] : []),
  ]
  const id = await db.inTransaction(async (tx) => {
    await holdPeople(db, reader.brandId, tx)
    const { brandId, colleagueId } = reader
    const person = await customers.insertPerson(db, { brandId, name, namedBy: colleagueId, note }, tx)
    for (const way of ways)
      await storedWays.insertWay(
        db,
        { brandId, personId: person, ...way, consent: null, consentAt: null, consentHow: '' },
        tx,
      )
    await changed({ db, due, live }, reader, { person, kind: 'addPerson', detail: { name, ways } }, tx)
    return person
  })
  return personCard(parts, reader, id)
}

/** An address or number in the form in which it is kept. @throws Refusal invalid */
function readWay({ kind, value }: Pick<WayDraft, 'kind' | 'value'>, field = 'value'): string {
  const read = kind === 'email' ? readEmail(value) : readPhone(value)
  if (read === null)
    throw new Refusal('invalid', {
      fields: [fieldProblem(field, kind === 'email' ? 'noEmail' : 'noPhone', { value })],
    })
  return read
}

export function addWay(parts: Writing, reader: Reader, given: number, draft: WayDraft): Promise<PersonWay> {
  const { db, due, live, now } = parts
  const value = readWay(draft)
  return db.inTransaction(async (tx) => {
    await holdPeople(db, reader.brandId, tx)
    const personId = await seen({ db }, reader, given, tx)
    const consent = draft.consent ?? null
    const way = await storedWays.insertWay(
      db,
      {
        brandId: reader.brandId,
        personId,
        kind: draft.kind,
        value,
        consent,
        consentAt: consent === null ? null : new Date(now()),
        consentHow: draft.consentHow ?? '',
      },
      tx,
    )
    if (!way) throw new Refusal('wayKnown')
    await changed({ db, due, live }, reader, { person: personId, kind: 'addWay', detail: { way } }, tx)
    return way
  })
}

export function changeWay(
  parts: Writing,
  reader: Reader,
  { id: given, way: wayId }: { id: number; way: number },
  draft: WayDraft,
): Promise<PersonWay> {
  const { db, due, live, now } = parts
  const value = readWay(draft)
  return db.inTransaction(async (tx) => {
    await holdPeople(db, reader.brandId, tx)
    const person = await seen({ db }, reader, given, tx)
    const before = await storedWays.wayOf(db, { id: wayId, person }, tx)
    if (before?.kind !== draft.kind) throw new Refusal('notFound')
    const consent = draft.consent ?? null
    // When it was said stays when it is said again.
    const consentAt =
      consent === null ? null : consent === before.consent ? before.consentAt : new Date(now()).toISOString()
    const { personId: _person, ...rest } = before
    const way: PersonWay = { ...rest, value, consent, consentAt, consentHow: draft.consentHow ?? '' }
    await storedWays.setWay(db, { ...way, consentAt: consentAt === null ? null : new Date(consentAt) }, tx)
    await changed({ db, due, live }, reader, { person, kind: 'changeWay', detail: { before, way } }, tx)
    return way
  })
}

export function removeWay(
  parts: Writing,
  reader: Reader,
  { id: given, way: wayId }: { id: number; way: number },
): Promise<undefined> {
  const { db, due, live } = parts
  return db.inTransaction(async (tx) => {
    await holdPeople(db, reader.brandId, tx)
    const person = await seen({ db }, reader, given, tx)
    const way = await storedWays.wayOf(db, { id: wayId, person }, tx)
    if (!way) throw new Refusal('notFound')
    await storedWays.deleteWay(db, wayId, tx)
    await changed({ db, due, live }, reader, { person, kind: 'removeWay', detail: { way } }, tx)
    return undefined
  })
}

/** After a change of how somebody is reached: it is logged, told, and looked at for whom they share it with. */
async function changed(
  { db, due, live }: Pick<Context, 'db' | 'due' | 'live'>,
  reader: Reader,
  { person, kind, detail }: { person: number; kind: LogKind; detail: object },
  tx: Tx,
): Promise<void> {
  await stored.readAnew(db, person, tx)
  await record(db, reader, { kind, on: ['person', person], detail }, tx)
  await askToMeet({ due }, reader.brandId, tx)
  await live.tell(reader.brandId, { kind: 'people' }, tx)
}
