export interface ServerDraft {
  host: string
  port: number
  secure: boolean
  user: string
  password: string
}

/** Ports of RFC 8314, encrypted from the first byte. */
export const emptyServer = (part: 'imap' | 'smtp'): ServerDraft => ({
  host: '',
  port: part === 'imap' ? 993 : 465,
  secure: true,
  user: '',
  password: '',
})
