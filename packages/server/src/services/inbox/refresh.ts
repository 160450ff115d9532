import type { EntryKind } from '@murrabel/core/lens'
import {
  arrivalEvent,
  defaultDuePolicy,
  dueAt,
  historyDays,
  pressingAt,
  transition,
  wantedOf,
  type DuePolicy,
} from '@murrabel/core/inbox'
import type { BusinessHours } from '@murrabel/core/places'
import type { Database, Tx } from '../../store/database.ts'
import {
  duePolicyOf,
  placeHours,
  holdThreads,
  latestFromOutside,
  type ThreadFacts,
  threadFacts,
  markLeads,
  refreshRows,
} from '../../store/queries/inbox/refresh.ts'
import { recordAll } from '../log/index.ts'

/** Opening hours by place; a place without runs day and night. What belongs to no place goes by the first that has hours. */
export interface HoursTable {
  brandId: number
  zone: string
  policy: DuePolicy
  byPlace: Map<number, BusinessHours>
  withoutPlace: BusinessHours
}

export async function businessHoursOf(db: Database, brandId: number, tx?: Tx): Promise<HoursTable> {
  const brand = await duePolicyOf(db, brandId, tx)
  const places = await placeHours(db, brandId, tx)
  const zone = brand?.zone ?? 'UTC'
  const main = places.find((p) => p.week)
  return {
    brandId,
    zone,
    withoutPlace: { week: main?.week ?? null, specialDays: main?.specialDays ?? {}, zone },
    policy: { ...defaultDuePolicy, ...brand?.policy },
    byPlace: new Map(places.map(({ id, week, specialDays }) => [id, { week, specialDays, zone }])),
  }
}

/** Ids of the latest incoming entries of these threads: written with what was read, a row is not written twice. */
export async function leadsOf(db: Database, threads: readonly number[], tx: Tx): Promise<number[]> {
  const rows = await latestFromOutside(db, threads, tx)
  return rows.map(({ id }) => id)
}

/**
 * Brings lead, state, due time and order of threads up to date after entries arrived, were read anew, or answers failed.
 *
 * @param now epoch milliseconds
 */
export async function refreshThreads(
  db: Database,
  ids: readonly number[],
  hours: HoursTable,
  now: number,
  tx: Tx,
): Promise<void> {
  if (!ids.length) return
  await holdThreads(db, ids, tx)
  const facts = await threadFacts(db, ids, tx)
  const next = facts.map((fact) => nextOf(fact, hours, now))
  await refreshRows(db, next, tx)
  await markLeads(db, ids, tx)
  // What moved by arriving is told like any other change; a thread's first entries are its beginning and no change.
  await recordAll(
    db,
    { brandId: hours.brandId, actor: 'network' },
    next.flatMap(({ id, event, known, edition }) =>
      event && known ? [{ kind: event, on: ['thread', id] as const, edition }] : [],
    ),
    tx,
  )
}

/** Where the core's state machine leads from here. */
function moved(fact: ThreadFacts, leadIsNew: boolean, now: number) {
  const event = arrivalEvent({
    state: fact.state,
    origin: fact.leadDeleted || fact.leadIsWish ? null : fact.origin,
    leadAt: fact.leadAt?.getTime() ?? null,
    answeredAt: fact.answeredAt?.getTime() ?? null,
    leadIsNew,
    spam: fact.spam,
    connectedAt: fact.connectedAt.getTime(),
    historyMs: historyDays * 86_400_000,
  })
  const position = { state: fact.state, setAsideUntil: fact.setAsideUntil?.getTime() ?? null }
  const result = event && transition(position, event, now)
  return result?.changed
    ? { state: result.next.state, event: event!.kind }
    : { state: fact.state, event: null }
}

/** A mention that is to be answered is due like a comment. */
const owedAs = (kind: EntryKind) => (kind === 'mention' ? 'comment' : kind)

function nextOf(fact: ThreadFacts, { policy, byPlace, withoutPlace }: HoursTable, now: number) {
  const leadIsNew =
    fact.leadId !== fact.oldLead || (fact.saidAnewAt?.getTime() ?? 0) > (fact.metAnewAt?.getTime() ?? 0)
  const { state, event } = moved(fact, leadIsNew, now)
  const isMoved = leadIsNew || event !== null
  const base = {
    id: fact.id,
    state,
    event,
    known: fact.oldLead !== null,
    moved: isMoved,
    saidAnewAt: fact.saidAnewAt,
    settledAt: fact.settledAt,
    edition: fact.edition + (isMoved ? 1 : 0),
  }
  if (fact.leadId === null || fact.leadAt === null || fact.kind === null)
    return { ...base, lead: null, due: null, pressing: null }
  const hours = (fact.placeId !== null && byPlace.get(fact.placeId)) || withoutPlace
  // The answer has been owed since the first of theirs that we did not answer.
  const since = (fact.firstWaitingAt ?? fact.leadAt).getTime()
  const wanted = wantedOf(fact.wants)
  const due =
    fact.waiting > 0
      ? dueAt(
          {
            kind: owedAs(fact.kind),
            channel: fact.channel,
            sentiment: fact.sentiment ?? 'unread',
            priority: fact.priority,
            rating: fact.rating,
            at: since,
            wanted,
          },
          policy,
          hours,
        )
      : null
  const pressing = pressingAt(
    {
      kind: fact.kind,
      sentiment: fact.sentiment ?? 'unread',
      rating: fact.rating,
      reach: fact.reach ?? 0,
      priority: fact.priority,
      waitingMessages: fact.waiting,
      dueAt: due,
      notSent: fact.notSent,
      wanted,
    },
    fact.leadAt.getTime(),
  )
  return {
    ...base,
    lead: fact.leadId,
    due: due === null ? null : new Date(due),
    pressing: new Date(pressing),
  }
}
