/** A mail that was sent, read. */
export interface Mail {
  op: 'mail'
  id: number
  messageId: string
  from: string
  to: string[]
  subject: string
  text: string
  /** As it is laid out; empty: words alone. */
  html: string
  at: string
  cc: string
  inReplyTo: string
  references: string[]
  files: string[]
}
