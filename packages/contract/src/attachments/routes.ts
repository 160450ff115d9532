import { can } from '../shared/access.ts'
import { get, post, remove } from '../shared/route.ts'
import type { AttachmentAnswer, MailHtmlAnswer } from './answers.ts'

/** Routes of files, and of mails as they were laid out. */
export const attachmentsRoutes = {
  /** The body is the file; its name stands in the query. */
  addAttachment: post<undefined, AttachmentAnswer>('/api/attachments', can('answer', 'seen', 'attachment')),
  /** One that has not gone out. */
  dropAttachment: remove<undefined>('/api/attachments/:id', can('answer', 'seen')),
  attachment: get<undefined>('/api/attachments/:id/file', can('look', 'seen')),
  attachmentPreview: get<undefined>('/api/attachments/:id/preview', can('look', 'seen')),
  /** A picture of an entry on its network, as we keep it. */
  picture: get<undefined>('/api/pictures/:id/preview', can('look', 'seen')),
  mailHtml: get<MailHtmlAnswer>('/api/entries/:id/html', can('look', 'seen')),
  /** A picture that the mail's HTML fetches from elsewhere; its address stands in the query. */
  mailPicture: get<undefined>('/api/entries/:id/picture', can('look', 'seen')),
} as const
