import type { Readable } from 'node:stream'
import { Parser } from 'htmlparser2'
import type { AttachmentAnswer, MailHtmlAnswer } from '@murrabel/contract'
import type { Reader } from '../../access/reader.ts'
import type { SniffedFile } from '../../attachments/picture.ts'
import type { Context } from '../../context.ts'
import { Refusal } from '../../problem.ts'
import {
  attachmentById,
  deleteWaiting,
  filesOfEntry,
  insertAttachment,
  mailOfEntry,
  type AttachmentRow,
} from '../../store/queries/attachments/attachments.ts'
import { visibleThreads } from '../../store/queries/inbox/visibleThreads.ts'
import { keepFile } from './keepFile.ts'

export const attachmentAnswer = ({
  id,
  name,
  type,
  bytes,
  width,
  height,
  cid,
}: Omit<AttachmentRow, 'file' | 'preview'>): AttachmentAnswer => ({
  id,
  name,
  type,
  bytes,
  width,
  height,
  inline: cid !== null && width !== null,
})

/**
 * Keeps a file that is to go with an answer; it goes with the first that names it, or is removed after a day. One that is put beside
 * the draft of a thread stays with it.
 *
 * @throws Refusal notFound
 */
export async function addAttachment(
  context: Context,
  reader: Reader,
  { name, bytes, thread }: { name: string; bytes: Uint8Array; thread: number | null },
): Promise<AttachmentAnswer> {
  if (thread !== null && !(await visibleThreads(context.db, reader, [thread])).length)
    throw new Refusal('notFound')
  const kept = await keepFile(context, { name, bytes, cid: null })
  const row = await insertAttachment(context.db, { ...reader, thread }, kept)
  return attachmentAnswer({ ...kept, id: row!.id })
}

/** Takes one's own file away again that has not gone out. @throws Refusal notFound */
export async function dropAttachment({ db }: Context, reader: Reader, id: number): Promise<void> {
  const gone = await deleteWaiting(db, { id, brandId: reader.brandId, colleagueId: reader.colleagueId })
  if (!gone.length) throw new Refusal('notFound')
}

export interface OpenFile {
  name: string
  type: string
  bytes: number
  stream: Readable
}

/** A file as it came. @throws Refusal notFound, attachmentGone */
export async function openAttachment(context: Context, reader: Reader, id: number): Promise<OpenFile> {
  const row = await attachmentById(context.db, reader, id)
  if (!row) throw new Refusal('notFound')
  return { ...row, stream: await open(context, row.file) }
}

/** The picture that is shown of a file. @throws Refusal notFound, attachmentGone */
export async function openPreview(context: Context, reader: Reader, id: number): Promise<Readable> {
  const row = await attachmentById(context.db, reader, id)
  if (!row?.preview) throw new Refusal('notFound')
  return open(context, row.preview)
}

async function open({ files }: Context, key: string): Promise<Readable> {
  try {
    return await files.read(key)
  } catch (error) {
    throw new Refusal('attachmentGone', {}, { cause: error })
  }
}

/** A mail as it was laid out. @throws Refusal notFound */
export async function mailHtml(context: Context, reader: Reader, id: number): Promise<MailHtmlAnswer> {
  const mail = await mailOfEntry(context.db, reader, id)
  if (!mail?.html) throw new Refusal('notFound')
  const files = await filesOfEntry(context.db, mail.id)
  return {
    html: mail.html,
    inline: Object.fromEntries(
      files.flatMap((file) => (file.cid && file.preview ? [[file.cid, file.id]] : [])),
    ),
  }
}

/** Bytes of a picture from elsewhere. */
const pictureBytes = 5_000_000

/**
 * A picture that a mail's HTML fetches from elsewhere: fetched by us, through the guard, so that whoever sent it learns
 * nothing of who reads it, and only what the mail itself names.
 *
 * @throws Refusal notFound for what does not stand in the mail, pictureNotFetched
 */
export async function mailPicture(
  context: Context,
  reader: Reader,
  { id, address }: { id: number; address: string },
): Promise<NonNullable<SniffedFile['picture']>> {
  const mail = await mailOfEntry(context.db, reader, id)
  if (!mail?.html || !picturesIn(mail.html).has(address)) throw new Refusal('notFound')
  try {
    const bytes = await context.httpFor(new URL(address).host).bytes(address, { maxBytes: pictureBytes })
    const { picture } = await context.fileWorker.ask({ kind: 'sniff', bytes })
    if (picture) return picture
  } catch (error) {
    throw new Refusal('pictureNotFetched', {}, { cause: error })
  }
  throw new Refusal('pictureNotFetched')
}

function picturesIn(html: string): Set<string> {
  const found = new Set<string>()
  const parser = new Parser({
    onopentag(name, { src }) {
      if (name === 'img' && src && /^https?:/i.test(src)) found.add(src)
    },
  })
  parser.end(html)
  return found
}
