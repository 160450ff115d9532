/** A file that came with an entry, or goes with an answer. */
export interface AttachmentAnswer {
  id: number
  name: string
  /** What its bytes are. */
  type: string
  bytes: number
  /** Of its preview, pixels; null: it can only be downloaded. */
  width: number | null
  height: number | null
  /** It is shown in the mail's own HTML. */
  inline: boolean
}

/** A picture, or the still of a video, that an entry shows on its network. */
export interface PictureAnswer {
  id: number
  /** What it shows, in words, where its author says so. */
  alt: string
}

/** A mail as its writer laid it out; nothing in it has been made safe. */
export interface MailHtmlAnswer {
  html: string
  /** Attachments by the Content-ID that the HTML names them by. */
  inline: Record<string, number>
}
