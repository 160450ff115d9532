import type { DraftDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import { visibleThreads } from '../../store/queries/inbox/visibleThreads.ts'
import { storeDraft } from '../../store/queries/together/drafts.ts'

/** Keeps what one is writing, so that it is there on another machine. @throws Refusal notFound */
export async function keepDraft(
  { db, now }: Pick<Context, 'db' | 'now'>,
  reader: Reader,
  thread: number,
  { text, private: inPrivate = false, edition }: DraftDraft,
): Promise<undefined> {
  if (!(await visibleThreads(db, reader, [thread])).length) throw new Refusal('notFound')
  const { colleagueId } = reader
  await storeDraft(db, { thread, colleagueId, text, private: inPrivate, edition, at: new Date(now()) })
  return undefined
}
