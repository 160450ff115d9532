import type { AttachmentRow } from '../attachments/attachments.ts'
import type { Database, Tx } from '../../database.ts'

export interface MailToAdd {
  outsideId: string
  messageId: string | null
  envelope: string
  folded: string
  html: string | null
  automatic: string | null
  doubt: string | null
  filesLeftOut: number
  answerTo: string | null
}

/** What is beside the words of mails whose entries have just gone in. */
export const insertMails = async (
  db: Database,
  profileId: number,
  mails: readonly MailToAdd[],
  tx?: Tx,
): Promise<void> => {
  const column = <T>(of: (mail: MailToAdd) => T) => mails.map(of)
  await db.rows(
    `INSERT INTO mails (entry_id, profile_id, message_id, envelope, folded, html, automatic, doubt, files_left_out, answer_to)
     SELECT e.id, $1, n.message_id, n.envelope, n.folded, n.html, n.automatic, n.doubt, n.left_out, n.answer_to
     FROM unnest($2::text[], $3::text[], $4::jsonb[], $5::text[], $6::text[], $7::text[], $8::text[], $9::int[], $10::jsonb[])
       AS n (outside_id, message_id, envelope, folded, html, automatic, doubt, left_out, answer_to)
     JOIN entries e ON e.profile_id = $1 AND e.outside_id = n.outside_id
     ON CONFLICT (entry_id) DO NOTHING`,
    [
      profileId,
      column((m) => m.outsideId),
      column((m) => m.messageId),
      column((m) => m.envelope),
      column((m) => m.folded),
      column((m) => m.html),
      column((m) => m.automatic),
      column((m) => m.doubt),
      column((m) => m.filesLeftOut),
      column((m) => m.answerTo),
    ],
    tx,
  )
}

export interface FileToAdd extends Omit<AttachmentRow, 'id'> {
  outsideId: string
  position: number
}

/** Files of entries that have just gone in. */
export const insertFiles = async (
  db: Database,
  { id: profileId, brandId }: { id: number; brandId: number },
  files: readonly FileToAdd[],
  tx?: Tx,
): Promise<void> => {
  const column = <T>(of: (file: FileToAdd) => T) => files.map(of)
  await db.rows(
    `INSERT INTO attachments (brand_id, entry_id, position, name, type, bytes, file, preview, width, height, cid)
     SELECT $2, e.id, n.position, n.name, n.type, n.bytes, n.file, n.preview, n.width, n.height, n.cid
     FROM unnest($3::text[], $4::int[], $5::text[], $6::text[], $7::int[], $8::text[], $9::text[], $10::int[], $11::int[], $12::text[])
       AS n (outside_id, position, name, type, bytes, file, preview, width, height, cid)
     JOIN entries e ON e.profile_id = $1 AND e.outside_id = n.outside_id
     WHERE NOT EXISTS (SELECT 1 FROM attachments a WHERE a.entry_id = e.id AND a.position = n.position)`,
    [
      profileId,
      brandId,
      column((f) => f.outsideId),
      column((f) => f.position),
      column((f) => f.name),
      column((f) => f.type),
      column((f) => f.bytes),
      column((f) => f.file),
      column((f) => f.preview),
      column((f) => f.width),
      column((f) => f.height),
      column((f) => f.cid),
    ],
    tx,
  )
}

export interface KnownMail {
  messageId: string
  /** Its thread's outside id. */
  thread: string
  /** The thread's id, where that began on another profile. */
  elsewhere: number | null
  at: Date
}

const elsewhere = 'CASE WHEN t.profile_id <> $1 THEN t.id END AS elsewhere'

/** Threads of mails by their Message-IDs: of what came, what we sent, and what we may have sent. */
export const threadsOfMails = (
  db: Database,
  { profileId, messageIds }: { profileId: number; messageIds: readonly string[] },
  tx?: Tx,
): Promise<KnownMail[]> =>
  db.rows<KnownMail>(
    `SELECT m.message_id AS "messageId", t.outside_id AS thread, e.at, ${elsewhere}
     FROM mails m
     JOIN entries e ON e.id = m.entry_id
     JOIN threads t ON t.id = e.thread_id
     WHERE m.profile_id = $1 AND m.message_id = ANY($2::text[])
     UNION ALL
     SELECT e.outside_id, t.outside_id, e.at, ${elsewhere}
     FROM entries e
     JOIN threads t ON t.id = e.thread_id
     WHERE e.profile_id = $1 AND e.outside_id = ANY($2::text[])
     UNION ALL
     SELECT n.id, t.outside_id, e.at, ${elsewhere}
     FROM unnest($2::text[]) AS n (id)
     JOIN outside_actions a ON a.profile_id = $1 AND a.key::text = substring(n.id FROM '^<([0-9a-fA-F-]{36})@')
     JOIN entries e ON e.id = a.entry_id
     JOIN threads t ON t.id = a.thread_id`,
    [profileId, messageIds],
    tx,
  )

/** Of mails that say they answer something, but not what: the last thread with that person about that subject. */
export const threadsBySubject = (
  db: Database,
  {
    profileId,
    network,
    mails,
    days,
  }: {
    profileId: number
    network: string
    mails: readonly { outsideId: string; author: string; subject: string; at: Date }[]
    days: number
  },
  tx?: Tx,
): Promise<{ outsideId: string; thread: string }[]> =>
  db.rows<{ outsideId: string; thread: string }>(
    `SELECT n.outside_id AS "outsideId", t.outside_id AS thread
     FROM unnest($3::text[], $4::text[], $5::text[], $6::timestamptz[]) AS n (outside_id, author, subject, at)
     JOIN profiles p ON p.id = $1
     JOIN accounts a ON a.brand_id = p.brand_id AND a.network = $2 AND a.outside_id = n.author
     CROSS JOIN LATERAL (
       SELECT t.outside_id
       FROM entries e
       JOIN threads t ON t.id = e.thread_id
       WHERE e.account_id = a.id AND t.profile_id = $1 AND lower(t.title) = lower(n.subject)
         AND e.at BETWEEN n.at - $7::int * interval '1 day' AND n.at
       ORDER BY e.at DESC, e.id DESC
       LIMIT 1
     ) t`,
    [
      profileId,
      network,
      mails.map(({ outsideId }) => outsideId),
      mails.map(({ author }) => author),
      mails.map(({ subject }) => subject),
      mails.map(({ at }) => at),
      days,
    ],
    tx,
  )
