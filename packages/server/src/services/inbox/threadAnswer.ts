import { stands } from '@murrabel/core/actions'
import { urgency } from '@murrabel/core/inbox'
import type { EntryKind, Sentiment, ThreadState } from '@murrabel/core/lens'
import { starsContradict } from '@murrabel/core/sentiment'
import type { ThreadAnswer, ThreadEntry, ThreadEventAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { connectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { addAccess, Where } from '../../store/queries/where.ts'
import type { Database } from '../../store/database.ts'

interface ThreadRow {
  id: number
  version: number
  title: string | null
  url: string | null
  channel: string
  network: string
  profile: string
  profileId: number
  profileStatus: string
  placeId: number | null
  state: ThreadState
  setAsideUntil: Date | null
  givenTo: number | null
  dueAt: Date | null
  priority: 0 | 1 | 2
  leadId: number | null
  accountId: number | null
}

/** A thread with everything beside it: its entries, what was done with it, who it is and what they said before. */
export async function threadAnswer(
  { db, now }: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  id: number,
): Promise<ThreadAnswer> {
  const where = new Where()
  addAccess(where, reader, 't')
  where.add(`t.id = ${where.bind(id)}`)
  const thread = await db.one<ThreadRow>(
    `SELECT t.id, t.version, t.title, t.url, p.channel, p.network, p.name AS profile, p.id AS "profileId", p.status AS "profileStatus", t.place_id AS "placeId",
       t.state, t.set_aside_until AS "setAsideUntil", t.given_to AS "givenTo", t.due_at AS "dueAt", t.priority, t.lead_entry_id AS "leadId", l.account_id AS "accountId"
     FROM threads t JOIN profiles p ON p.id = t.profile_id LEFT JOIN entries l ON l.id = t.lead_entry_id WHERE ${where.toString()}`,
    where.values,
  )
  if (!thread) throw new Refusal('notFound')
  const [entries, events, person, watches, lead, tags] = await Promise.all([
    entriesOf(db, id),
    eventsOf(db, id),
    personOf(db, reader, thread),
    watchesOf(db, thread.leadId),
    leadOf(db, thread.leadId),
    db.rows<{ id: number }>('SELECT tag_id AS id FROM thread_tags WHERE thread_id = $1 ORDER BY 1', [id]),
  ])
  const kind = lead?.kind ?? entries[0]?.kind ?? 'mention'
  const waitingMessages = waitingAtTheEnd(entries)
  const why = lead
    ? urgency(
        {
          kind,
          sentiment: lead.sentiment,
          rating: lead.rating,
          reach: lead.reach,
          priority: thread.priority,
          waitingMessages,
          dueAt: thread.dueAt?.getTime() ?? null,
          notSent: entries.filter(({ action }) => action?.state === 'failed').length,
        },
        { now: now(), receivedAt: lead.at.getTime() },
      )
    : null
  return {
    id,
    version: thread.version,
    kind,
    title: thread.title,
    url: thread.url,
    channel: thread.channel,
    network: thread.network,
    profile: thread.profile,
    profileId: thread.profileId,
    placeId: thread.placeId,
    state: thread.state,
    setAsideUntil: thread.setAsideUntil?.toISOString() ?? null,
    givenTo: thread.givenTo,
    dueAt: thread.dueAt?.toISOString() ?? null,
    private: lead?.private ?? false,
    paid: lead?.paid ?? false,
    tags: tags.map(({ id }) => id),
    urgency: thread.state === 'open' ? why : null,
    entries,
    events,
    person,
    reply: replyOf(thread, kind),
    watches,
  }
}

function replyOf({ channel, profileStatus }: ThreadRow, kind: EntryKind): ThreadAnswer['reply'] {
  const capabilities = connectorOf(channel)?.capabilities
  const possible = capabilities?.repliesTo.includes(kind) ?? false
  const reason = !possible
    ? 'channel'
    : profileStatus === 'disconnected'
      ? 'disconnected'
      : profileStatus === 'expired'
        ? 'expired'
        : undefined
  return {
    possible: possible && profileStatus !== 'disconnected',
    maxLength: capabilities?.replyLength ?? 0,
    public: capabilities?.replyIsPublic(kind) ?? true,
    reason,
  }
}

/** How many of theirs came since our last answer that stands. */
function waitingAtTheEnd(entries: readonly ThreadEntry[]): number {
  const answered = entries.findLastIndex(
    ({ direction, action }) => direction === 'out' && (!action || stands(action.state)),
  )
  return entries.slice(answered + 1).filter(({ direction }) => direction === 'in').length
}

/** A page's thread can have thousands of entries; the newest are what is answered. */
const entryLimit = 200

async function entriesOf(db: Database, threadId: number): Promise<ThreadEntry[]> {
  const rows = await db.rows<
    ThreadEntry & {
      actionId: number | null
      actionState: NonNullable<ThreadEntry['action']>['state']
      attempts: number
      error: string | null
      uncertain: boolean
    }
  >(
    `SELECT * FROM (
       SELECT e.id, e.direction, e.kind, coalesce(a.name, w.name, '') AS author, e.title, e.text, e.rating, e.at, e.language, e.sentiment, c.name AS "correctedBy",
         e.confidence, e.spans, e.url, e.undated, o.id AS "actionId", o.state AS "actionState", o.attempts, o.error, o.uncertain
       FROM entries e LEFT JOIN accounts a ON a.id = e.account_id LEFT JOIN outside_actions o ON o.entry_id = e.id
       LEFT JOIN colleagues c ON c.id = e.corrected_by LEFT JOIN colleagues w ON w.id = o.colleague_id
       WHERE e.thread_id = $1 AND (o.state IS NULL OR o.state <> 'cancelled' OR o.uncertain) ORDER BY e.at DESC, e.id DESC LIMIT $2) newest ORDER BY at, id`,
    [threadId, entryLimit],
  )
  return rows.map(({ actionId, actionState, attempts, error, uncertain, ...entry }) => ({
    ...entry,
    contradicts:
      entry.rating !== null &&
      starsContradict(entry.rating, { sentiment: entry.sentiment, confidence: entry.confidence }),
    action: actionId === null ? null : { id: actionId, state: actionState, attempts, error, uncertain },
  }))
}

const eventsOf = (db: Database, threadId: number) =>
  db.rows<ThreadEventAnswer>(
    `SELECT v.id, v.kind, v.actor, c.name AS by, v.at, v.detail FROM events v LEFT JOIN colleagues c ON c.id = v.colleague_id
     WHERE v.thread_id = $1 AND v.undone_at IS NULL ORDER BY v.id DESC LIMIT 20`,
    [threadId],
  )

const leadOf = (db: Database, leadId: number | null) =>
  leadId === null
    ? undefined
    : db.one<{
        kind: EntryKind
        sentiment: Sentiment
        rating: number | null
        reach: number
        at: Date
        private: boolean
        paid: boolean
      }>('SELECT kind, sentiment, rating, reach, at, private, paid FROM entries WHERE id = $1', [leadId])

const watchesOf = (db: Database, leadId: number | null) =>
  leadId === null
    ? []
    : db.rows<ThreadAnswer['watches'][number]>(
        'SELECT w.id, w.name, m.spans AS hits FROM mentions m JOIN watches w ON w.id = m.watch_id WHERE m.entry_id = $1 AND w.deleted_at IS NULL ORDER BY w.name',
        [leadId],
      )

async function personOf(
  db: Database,
  reader: Reader,
  { accountId, id, network }: ThreadRow,
): Promise<ThreadAnswer['person']> {
  if (accountId === null) return null
  const account = await db.one<{ id: number; name: string; handle: string | null }>(
    'SELECT id, name, handle FROM accounts WHERE id = $1',
    [accountId],
  )
  if (!account) return null
  const where = new Where()
  addAccess(where, reader, 'e')
  where.add(`e.account_id = ${where.bind(accountId)} AND e.direction = 'in'`)
  const [sum, before] = await Promise.all([
    db.one<{ since: Date; count: number }>(
      `SELECT min(e.at) AS since, count(*) AS count FROM entries e WHERE ${where.toString()}`,
      where.values,
    ),
    db.rows<NonNullable<ThreadAnswer['person']>['before'][number]>(
      `SELECT e.id, e.thread_id AS "threadId", left(e.text, 200) AS text, e.at, e.sentiment, e.channel, e.rating FROM entries e
       WHERE ${where.toString()} AND e.thread_id <> ${where.bind(id)} ORDER BY e.at DESC LIMIT 5`,
      where.values,
    ),
  ])
  return {
    ...account,
    network,
    since: (sum?.since ?? new Date(0)).toISOString(),
    count: sum?.count ?? 0,
    before,
  }
}
