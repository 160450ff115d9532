import {
  fieldProblem,
  type FollowUp,
  type FollowUpDraft,
  type FollowUpsAnswer,
  type OutcomeDraft,
  type LogKind,
} from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { isMember } from '../../store/queries/colleagues/isMember.ts'
import * as stored from '../../store/queries/followUps/followUps.ts'
import { visibleThreads } from '../../store/queries/inbox/visibleThreads.ts'
import { checkEdition } from '../../store/queries/shared/edition.ts'
import { afterPart, lensContext, lensOf } from '../lens/index.ts'
import { record } from '../log/index.ts'
import { printTimeKey } from '../../store/queries/shared/timeKey.ts'

const pageSize = 100

type Reading = Pick<Context, 'db' | 'now'>
type Writing = Reading & Pick<Context, 'live'>

export async function listFollowUps(
  parts: Reading,
  reader: Reader,
  query: Record<string, unknown>,
): Promise<FollowUpsAnswer> {
  const lens = lensOf(query, 'followUps')
  const context = await lensContext(parts, reader)
  const after = afterPart(query)
  // Whoever only counts asks for few.
  const limit = Math.min(pageSize, Math.max(1, Math.trunc(Number(query.limit)) || pageSize))
  const { rows, ...counts } = await stored.followUpPage(
    parts.db,
    { lens, context, reader },
    { limit: limit + 1, after },
  )
  const shown = rows.slice(0, limit)
  return {
    rows: shown,
    ...counts,
    next: rows.length > limit ? printTimeKey(stored.keyAfter(shown.at(-1)!, lens)) : null,
  }
}

async function seenThread({ db }: Reading, reader: Reader, threadId: number): Promise<void> {
  if (!(await visibleThreads(db, reader, [threadId])).length) throw new Refusal('notFound')
}

export async function followUpsOf(parts: Reading, reader: Reader, threadId: number): Promise<FollowUp[]> {
  await seenThread(parts, reader, threadId)
  return stored.followUpsOfThread(parts.db, reader, { threadId, now: parts.now() })
}

/** A draft as it is kept: only a lead has a worth, and a worth has its currency. @throws Refusal invalid */
async function keepable(
  { db }: Reading,
  reader: Reader,
  { kind, what, dueAt, givenTo = null, worth = null, currency = null, nextStep = '' }: FollowUpDraft,
): Promise<stored.FollowUpToKeep> {
  if (givenTo !== null && !(await isMember(db, { brandId: reader.brandId, colleagueId: givenTo })))
    throw new Refusal('invalid', { fields: [fieldProblem('givenTo', 'noColleague')] })
  if (kind === 'lead' && worth !== null && !currency)
    throw new Refusal('invalid', { fields: [fieldProblem('currency', 'noCurrency')] })
  const valued = kind === 'lead' && worth !== null
  return {
    kind,
    what,
    dueAt: new Date(dueAt),
    givenTo,
    worth: valued ? worth : null,
    currency: valued ? currency : null,
    nextStep: kind === 'lead' ? nextStep : '',
  }
}

/** What changed on a follow-up is told to its thread, and stands in its log. */
async function told(
  { db, live }: Writing,
  reader: Reader,
  { threadId, kind, detail }: { threadId: number; kind: LogKind; detail: object },
  tx: Tx,
): Promise<void> {
  await record(db, reader, { kind, on: ['thread', threadId], detail }, tx)
  await live.tell(reader.brandId, { kind: 'followUps' }, tx)
  await live.tell(reader.brandId, { kind: 'thread', threads: [threadId] }, tx)
}

export async function addFollowUp(
  parts: Writing,
  reader: Reader,
  threadId: number,
  draft: FollowUpDraft,
): Promise<FollowUp> {
  const { db, now } = parts
  await seenThread(parts, reader, threadId)
  const { brandId, colleagueId } = reader
  const kept = await keepable(parts, reader, draft)
  return db.inTransaction(async (tx) => {
    const made = await stored.insertFollowUp(db, { ...kept, brandId, threadId, madeBy: colleagueId }, tx)
    await told(
      parts,
      reader,
      { threadId, kind: 'addFollowUp', detail: { id: made!.id, what: kept.what } },
      tx,
    )
    return (await stored.followUpById(db, reader, { id: made!.id, now: now() }, tx))!
  })
}

/** Changes one that the reader may see. @throws Refusal notFound, changedMeanwhile */
function change(
  parts: Writing,
  reader: Reader,
  { id, edition, kind }: { id: number; edition?: number; kind: LogKind },
  act: (before: FollowUp, tx: Tx) => Promise<object>,
): Promise<FollowUp | undefined> {
  const { db, now } = parts
  return db.inTransaction(async (tx) => {
    const before = await stored.followUpById(db, reader, { id, now: now() }, tx)
    if (!before) throw new Refusal('notFound')
    await checkEdition({ db }, 'follow_ups', { id, brandId: reader.brandId }, edition, tx)
    const detail = await act(before, tx)
    await told(
      parts,
      reader,
      { threadId: before.threadId, kind, detail: { id, what: before.what, ...detail } },
      tx,
    )
    return stored.followUpById(db, reader, { id, now: now() }, tx)
  })
}

export async function changeFollowUp(
  parts: Writing,
  reader: Reader,
  id: number,
  draft: FollowUpDraft,
): Promise<FollowUp> {
  const kept = await keepable(parts, reader, draft)
  const changed = await change(
    parts,
    reader,
    { id, edition: draft.edition, kind: 'changeFollowUp' },
    async (before, tx) => {
      await stored.updateFollowUp(parts.db, { id, ...kept }, tx)
      return { before }
    },
  )
  return changed!
}

/** Done, with a word of what came of it. One that is done already stays as it was. */
export async function finishFollowUp(
  parts: Writing,
  reader: Reader,
  id: number,
  { edition, outcome = '' }: OutcomeDraft,
): Promise<FollowUp> {
  const done = await change(parts, reader, { id, edition, kind: 'finishFollowUp' }, async (before, tx) => {
    if (!before.doneAt)
      await stored.setFollowUpDone(
        parts.db,
        { id, at: new Date(parts.now()), by: reader.colleagueId, outcome },
        tx,
      )
    return { outcome }
  })
  return done!
}

export async function reopenFollowUp(parts: Writing, reader: Reader, id: number): Promise<FollowUp> {
  const open = await change(parts, reader, { id, kind: 'reopenFollowUp' }, async (before, tx) => {
    await stored.setFollowUpDone(parts.db, { id, at: null, by: null, outcome: '' }, tx)
    return { outcome: before.outcome }
  })
  return open!
}

export async function removeFollowUp(parts: Writing, reader: Reader, id: number): Promise<undefined> {
  await change(parts, reader, { id, kind: 'removeFollowUp' }, async (before, tx) => {
    await stored.deleteFollowUp(parts.db, id, tx)
    return { before }
  })
  return undefined
}
