import type { LogKind } from '@murrabel/contract'
import type { LogSubject } from '@murrabel/core/lens'
import type { Database, Tx } from '../../store/database.ts'
import { insertEvents } from '../../store/queries/log/events.ts'
import { tellHooks } from '../../store/queries/hooks/deliveries.ts'
import { hookEventOf } from './hookEvent.ts'

/** By whom: a colleague, or something that acts by itself. */
export type Actor =
  { brandId: number; colleagueId: number } | { brandId: number; actor: 'rule' | 'ask' | 'network' | 'system' }

export interface Happened {
  kind: LogKind
  /** The thing, and the thread it belongs to where it is not a thread itself. */
  on: readonly [subject: LogSubject, id: number | null, thread?: number]
  detail?: object
  /** What was before, for what can be undone. */
  before?: object
  /** The thread's edition after it. */
  edition?: number
}

/** Writes lines into the log: everything that happens to a thing leaves one. Answers their ids, in the same order. */
export async function recordAll(
  db: Database,
  actor: Actor,
  happened: readonly Happened[],
  tx?: Tx,
): Promise<number[]> {
  if (!happened.length) return []
  const rows = await insertEvents(
    db,
    {
      brandId: actor.brandId,
      actor: 'actor' in actor ? actor.actor : 'colleague',
      colleagueId: 'actor' in actor ? null : actor.colleagueId,
    },
    happened.map(({ on: [subject, id, thread], kind, detail = {}, before, edition }) => ({
      subject,
      subjectId: id,
      threadId: subject === 'thread' ? id : (thread ?? null),
      kind,
      detail,
      before: before ?? null,
      edition: edition ?? null,
    })),
    tx,
  )
  await tellHooks(
    db,
    actor.brandId,
    happened.flatMap(({ on: [subject, id, thread], kind }) => {
      const event = hookEventOf(subject, kind)
      const threadId = subject === 'thread' ? id : (thread ?? null)
      const colleagueId = 'actor' in actor ? null : actor.colleagueId
      return event ? [{ event, subjectId: id, threadId, colleagueId, detail: {} }] : []
    }),
    tx,
  )
  return rows.map(({ id }) => id)
}

/** Writes one line into the log. */
export const record = (db: Database, actor: Actor, happened: Happened, tx?: Tx): Promise<number[]> =>
  recordAll(db, actor, [happened], tx)
