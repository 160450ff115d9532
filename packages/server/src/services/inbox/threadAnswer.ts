import { stands } from '@murrabel/core/actions'
import { urgency, wantedOf } from '@murrabel/core/inbox'
import type { EntryKind } from '@murrabel/core/lens'
import { readMeaning, textKindOf } from '@murrabel/core/meaning'
import { joinOwnTitle } from '@murrabel/core/text'
import type { ThreadAnswer, ThreadEntry } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { accountConnectorOf } from '../../connectors/index.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import {
  personBehind,
  entriesOfThread,
  eventsOfThread,
  leadById,
  postOfThread,
  saidBefore,
  tagsOfThread,
  threadById,
  watchesOfEntry,
  type ThreadEntryRow,
  type ThreadRow,
} from '../../store/queries/inbox/thread.ts'
import { regroups } from './regroup.ts'
import { approvalsOfThread } from '../../store/queries/approvals/approvals.ts'
import { draftOf } from '../../store/queries/together/drafts.ts'
import { attachmentAnswer } from '../attachments/index.ts'
import { filesOfDraft } from '../../store/queries/attachments/attachments.ts'
import { notesOfThread } from '../../store/queries/together/notes.ts'
import { mayAccess } from '../../store/queries/shared/where.ts'
import { visibleThreads } from '../../store/queries/inbox/visibleThreads.ts'
import { visitorOfThread } from '../../store/queries/chat/visits.ts'
import type { Database } from '../../store/database.ts'

/** A thread with everything beside it: its entries, what was done with it, who it is and what they said before. */
export async function threadAnswer(
  { db, now }: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  id: number,
): Promise<ThreadAnswer> {
  const thread = await threadById(db, reader, id)
  if (!thread) throw new Refusal('notFound')
  if (thread.mergedInto !== null) return threadAnswer({ db, now }, reader, thread.mergedInto)
  const [entries, events, person, watches, lead, tags, visitor, post, notes, draft, draftFiles, approvals] =
    await Promise.all([
      entriesOf(db, id),
      eventsOfThread(db, id),
      personOf(db, reader, thread),
      thread.leadId === null ? [] : watchesOfEntry(db, thread.leadId),
      thread.leadId === null ? undefined : leadById(db, thread.leadId),
      tagsOfThread(db, id),
      visitorOfThread(db, { profileId: thread.profileId, thread: thread.outsideId, now: new Date(now()) }),
      thread.postId === null ? null : postOfThread(db, reader, { postId: thread.postId, id }),
      notesOfThread(db, id),
      draftOf(db, { thread: id, colleagueId: reader.colleagueId }),
      filesOfDraft(db, { thread: id, colleagueId: reader.colleagueId }),
      approvalsOfThread(db, id),
    ])
  const kind = lead?.kind ?? entries[0]?.kind ?? 'mention'
  const why = lead ? urgencyOf({ thread, lead, kind, entries }, now()) : null
  return {
    id,
    edition: thread.edition,
    kind,
    leadId: thread.leadId,
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
    teamId: thread.teamId,
    priority: thread.priority,
    regroups: regroups(thread.channel),
    spam: await spamSeen(db, reader, thread.spam),
    dueAt: thread.dueAt?.toISOString() ?? null,
    private: lead?.private ?? false,
    paid: lead?.paid ?? false,
    tags: tags.map((tag) => tag.id),
    urgency: thread.state === 'open' ? why : null,
    entries,
    events,
    person,
    reply: replyOf(reader, thread, {
      kind,
      deleted: entries.find((e) => e.id === thread.leadId)?.deletedAt != null,
      stopped: lead?.stopped ?? false,
    }),
    watches,
    visitor,
    post,
    notes,
    approvals,
    draft,
    draftFiles: draftFiles.map(attachmentAnswer),
  }
}

/** Which thread taught it is told to whoever may see that one. */
async function spamSeen(
  db: Database,
  reader: Reader,
  spam: ThreadAnswer['spam'],
): Promise<ThreadAnswer['spam']> {
  if (!spam || spam.like === null) return spam
  const [seen] = await visibleThreads(db, reader, [spam.like])
  return seen === undefined ? { ...spam, like: null } : spam
}

/** Why a thread stands where it does. */
function urgencyOf(
  {
    thread,
    lead,
    kind,
    entries,
  }: {
    thread: ThreadRow
    lead: NonNullable<Awaited<ReturnType<typeof leadById>>>
    kind: EntryKind
    entries: readonly ThreadEntry[]
  },
  now: number,
) {
  const waiting = waitingAtTheEnd(entries)
  return urgency(
    {
      kind,
      sentiment: lead.sentiment,
      rating: lead.rating,
      reach: lead.reach,
      priority: thread.priority,
      waitingMessages: waiting.length,
      dueAt: thread.dueAt?.getTime() ?? null,
      notSent: entries.filter(({ action }) => action?.state === 'failed').length,
      wanted: wantedOf(waiting.map(({ wish, wantsAnswer }) => ({ wish: wish?.label ?? null, wantsAnswer }))),
    },
    { now, receivedAt: lead.at.getTime() },
  )
}

function replyOf(
  reader: Reader,
  thread: ThreadRow,
  lead: { kind: EntryKind; deleted: boolean; stopped: boolean },
): ThreadAnswer['reply'] {
  const { answeringChannel, profileStatus, answeringId, answeringPlace, answeringName, handedTo } = thread
  const { stopped } = lead
  // Elsewhere it is a message, whatever it was where it was said; and that may be gone.
  const kind = handedTo === null ? lead.kind : 'message'
  const deleted = handedTo === null && lead.deleted
  const capabilities = accountConnectorOf(answeringChannel)?.capabilities
  const possible = capabilities?.repliesTo.includes(kind) ?? false
  const account =
    answeringId !== null && mayAccess(reader, { placeId: answeringPlace, profileId: answeringId })
  const reason = whyNot({ possible, deleted, account, stopped, status: profileStatus })
  return {
    possible: possible && !deleted && !stopped && account && profileStatus !== 'disconnected',
    as: answeringName,
    maxLength: capabilities?.replyLength ?? 0,
    privately: capabilities?.answersPrivately === true && capabilities.replyIsPublic(kind),
    handedOff: handedTo === null ? null : { address: handedTo },
    files: capabilities?.files ?? null,
    markup: capabilities?.replyMarkup ?? false,
    maxParts: capabilities?.replyParts ?? null,
    public: capabilities?.replyIsPublic(kind) ?? true,
    reason,
  }
}

/** What stands in the way of an answer, the first that counts; undefined: nothing. */
function whyNot(of: {
  possible: boolean
  deleted: boolean
  account: boolean
  stopped: boolean
  status: string
}): ThreadAnswer['reply']['reason'] {
  if (!of.possible) return 'channel'
  if (of.deleted) return 'deleted'
  if (!of.account) return 'noAccount'
  if (of.stopped) return 'stopped'
  return of.status === 'disconnected' || of.status === 'expired' ? of.status : undefined
}

/** Those of theirs that came since our last answer that stands. */
function waitingAtTheEnd(entries: readonly ThreadEntry[]): ThreadEntry[] {
  const answered = entries.findLastIndex(
    ({ direction, action }) => direction === 'out' && (!action || stands(action.state)),
  )
  return entries.slice(answered + 1).filter(({ direction }) => direction === 'in')
}

/** A page's thread can have thousands of entries; the newest are what is answered. */
const entryLimit = 200

const can = (channel: string, what: 'changes' | 'reports'): boolean =>
  accountConnectorOf(channel)?.capabilities[what] ?? false

async function entriesOf(db: Database, id: number): Promise<ThreadEntry[]> {
  const rows = await entriesOfThread(db, id, { limit: entryLimit })
  return rows.map(
    ({
      stands: isOutside,
      channel,
      actionId,
      actionState,
      attempts,
      error,
      uncertain,
      deliveredAt,
      sendAt,
      written,
      wish,
      wishConfidence,
      ...entry
    }) => ({
      ...entry,
      changeable: can(channel, 'changes') && isOutside && entry.direction === 'out',
      reportable: can(channel, 'reports') && isOutside && entry.direction === 'in' && entry.kind === 'review',
      wish: wishOf(entry, { label: wish, confidence: wishConfidence }),
      action:
        actionId === null
          ? null
          : {
              id: actionId,
              state: actionState,
              attempts,
              error,
              uncertain,
              deliveredAt: deliveredAt?.toISOString() ?? null,
              sendAt: sendAt?.toISOString() ?? null,
              written: accountConnectorOf(channel)?.capabilities.replyMarkup ? written : null,
            },
    }),
  )
}

/** The words a wish rests on are read when somebody looks: they are many, and few are looked at. */
function wishOf(
  {
    title,
    text,
    language,
    kind,
    rating,
    direction,
  }: Pick<ThreadEntryRow, 'title' | 'text' | 'language' | 'kind' | 'rating' | 'direction'>,
  { label, confidence }: { label: ThreadEntryRow['wish']; confidence: number | null },
): ThreadEntry['wish'] {
  if (label === null || direction === 'out') return null
  const { wish } = readMeaning(joinOwnTitle(title, text), {
    language: language ?? 'und',
    stars: rating,
    kind: textKindOf(kind),
  })
  return { label, confidence: confidence ?? 0, spans: wish.label === label ? wish.spans : [] }
}

async function personOf(
  db: Database,
  reader: Reader,
  { accountId, id, network }: ThreadRow,
): Promise<ThreadAnswer['person']> {
  const person = accountId === null ? undefined : await personBehind(db, accountId)
  if (!person) return null
  const { since, count, before } = await saidBefore(db, reader, { person: person.id, threadId: id })
  return { ...person, network, since: (since ?? new Date(0)).toISOString(), count, before }
}
