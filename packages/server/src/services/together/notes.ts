import type { LogKind, NoteAnswer, NoteDraft } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import { readerOfMember } from '../../access/sessions.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import type { Tx } from '../../store/database.ts'
import { visibleThreads } from '../../store/queries/inbox/visibleThreads.ts'
import * as stored from '../../store/queries/together/notes.ts'
import { record } from '../log/index.ts'
import { notify } from './notices.ts'

type Parts = Pick<Context, 'db' | 'live' | 'now' | 'due'>

async function checkThread({ db }: Parts, reader: Reader, thread: number, tx: Tx): Promise<void> {
  if (!(await visibleThreads(db, reader, [thread], tx)).length) throw new Refusal('notFound')
}

/** A note names only those who may see the thread. @throws Refusal noteForNobody, naming the others by their ids */
async function checkMentions(
  { db }: Parts,
  reader: Reader,
  { thread, mentions }: { thread: number; mentions: readonly number[] },
  tx: Tx,
): Promise<number[]> {
  const all = [...new Set(mentions)]
  const blind: number[] = []
  for (const id of all) {
    const member = await readerOfMember(db, id, reader.brandId, tx)
    if (!member || !(await visibleThreads(db, member, [thread], tx)).length) blind.push(id)
  }
  if (blind.length)
    throw new Refusal('noteForNobody', {
      fields: blind.map((id) => ({
        field: 'mentions',
        code: 'cannotSee',
        message: 'This colleague cannot see the thread: it belongs to a place or profile that is not theirs.',
        value: String(id),
      })),
    })
  return all
}

const tellNamed = (
  parts: Parts,
  { brandId, colleagueId }: Reader,
  { whom, thread, note }: { whom: readonly number[]; thread: number; note: number },
  tx: Tx,
): Promise<void> =>
  notify(
    parts,
    {
      brandId,
      kind: 'mention',
      to: whom.map((each) => ({ whom: each, thread, note })),
      by: colleagueId,
    },
    tx,
  )

/** A note is told to whoever looks at its thread, and stands in the log without its words. */
async function told(
  { db, live }: Parts,
  reader: Reader,
  { kind, thread, note }: { kind: LogKind; thread: number; note: number },
  tx: Tx,
): Promise<NoteAnswer> {
  await record(db, reader, { kind, on: ['thread', thread], detail: { note } }, tx)
  await live.tell(reader.brandId, { kind: 'thread', threads: [thread] }, tx)
  return stored.noteAnswer((await stored.noteForChange(db, note, tx))!)
}

/** Keeps a note for colleagues, and tells those whom it names. @throws Refusal notFound, noteForNobody */
export function addNote(
  parts: Parts,
  reader: Reader,
  thread: number,
  { text, mentions = [] }: NoteDraft,
): Promise<NoteAnswer> {
  const { db, now } = parts
  const { colleagueId } = reader
  return db.inTransaction(async (tx) => {
    await checkThread(parts, reader, thread, tx)
    const named = await checkMentions(parts, reader, { thread, mentions }, tx)
    const note = await stored.insertNote(db, { thread, colleagueId, text, at: new Date(now()) }, tx)
    await stored.setMentions(db, { note, mentions: named }, tx)
    await tellNamed(parts, reader, { whom: named, thread, note }, tx)
    return told(parts, reader, { kind: 'note', thread, note }, tx)
  })
}

/** A note that the reader wrote, locked. @throws Refusal notFound, noteOfAnother */
async function ownNote(parts: Parts, reader: Reader, id: number, tx: Tx) {
  const note = await stored.noteForChange(parts.db, id, tx)
  if (!note) throw new Refusal('notFound')
  await checkThread(parts, reader, note.threadId, tx)
  if (note.by !== reader.colleagueId) throw new Refusal('noteOfAnother')
  return note
}

/** Changes one's own note; who is named anew is told. @throws Refusal notFound, noteOfAnother, changedMeanwhile, noteForNobody */
export function changeNote(
  parts: Parts,
  reader: Reader,
  id: number,
  { text, mentions = [], edition }: NoteDraft,
): Promise<NoteAnswer> {
  const { db, now } = parts
  return db.inTransaction(async (tx) => {
    const { threadId: thread, edition: known, removedAt } = await ownNote(parts, reader, id, tx)
    if (removedAt) throw new Refusal('notFound')
    if (edition !== undefined && edition !== known) throw new Refusal('changedMeanwhile')
    const named = await checkMentions(parts, reader, { thread, mentions }, tx)
    await stored.updateNote(db, { id, text, at: new Date(now()) }, tx)
    const fresh = await stored.setMentions(db, { note: id, mentions: named }, tx)
    await tellNamed(parts, reader, { whom: fresh, thread, note: id }, tx)
    return told(parts, reader, { kind: 'changeNote', thread, note: id }, tx)
  })
}

/** Takes one's own note away, or brings it back. @throws Refusal notFound, noteOfAnother */
const setRemoved = (parts: Parts, reader: Reader, id: number, away: boolean): Promise<NoteAnswer> =>
  parts.db.inTransaction(async (tx) => {
    const { threadId: thread } = await ownNote(parts, reader, id, tx)
    await stored.setNoteRemoved(parts.db, { id, at: away ? new Date(parts.now()) : null }, tx)
    return told(parts, reader, { kind: away ? 'removeNote' : 'restoreNote', thread, note: id }, tx)
  })

export async function removeNote(parts: Parts, reader: Reader, id: number): Promise<undefined> {
  await setRemoved(parts, reader, id, true)
}
export const restoreNote = (parts: Parts, reader: Reader, id: number): Promise<NoteAnswer> =>
  setRemoved(parts, reader, id, false)
