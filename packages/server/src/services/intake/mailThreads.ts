import type { Database, Tx } from '../../store/database.ts'
import type { IngestProfile } from '../../store/queries/intake/ingest.ts'
import { threadsBySubject, threadsOfMails, type KnownMail } from '../../store/queries/intake/mails.ts'
import type { CleanItem } from './cleanItem.ts'

/** A subject says little after this. */
const subjectDays = 30

export interface MailThreads {
  /** What is there already, by its Message-ID. */
  byMessage: Map<string, KnownMail>
  /** Thread of mails that only their subject binds to anything, by outside id. */
  bySubject: Map<string, string>
}

/** What is known of the mails that these answer. */
export async function knownMailThreads(
  db: Database,
  profile: IngestProfile,
  items: readonly CleanItem[],
  tx: Tx,
): Promise<MailThreads> {
  const mails = items.filter((item) => item.mail)
  if (!mails.length) return { byMessage: new Map(), bySubject: new Map() }
  const messageIds = new Set(
    mails.flatMap(({ mail }) => [...mail!.ancestors, ...(mail!.messageId ? [mail!.messageId] : [])]),
  )
  const byMessage = await threadsOfMails(db, { profileId: profile.id, messageIds: [...messageIds] }, tx)
  const lost = mails.filter(
    ({ mail, threadTitle }) => mail!.isAnswer && !mail!.ancestors.length && threadTitle,
  )
  const bySubject = lost.length
    ? await threadsBySubject(
        db,
        {
          profileId: profile.id,
          network: profile.network,
          mails: lost.map(({ outsideId, author, threadTitle, at }) => ({
            outsideId,
            author: author.outsideId,
            subject: threadTitle!,
            at: new Date(at),
          })),
          days: subjectDays,
        },
        tx,
      )
    : []
  return {
    byMessage: new Map(byMessage.map((mail) => [mail.messageId, mail])),
    bySubject: new Map(bySubject.map(({ outsideId, thread }) => [outsideId, thread])),
  }
}
