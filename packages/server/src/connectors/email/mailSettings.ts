import type { FailureKind } from '../shared/outcome.ts'
import { mayHaveReached, NetworkFailure } from '../shared/outcome.ts'

export interface MailServer {
  host: string
  port: number
  /** TLS from the first byte; else it is turned on where the server offers it. */
  secure: boolean
  user: string
  password: string
}

/** How mail of an address comes in and goes out; kept sealed in the place of a network's key. */
export interface MailSettings {
  /** Null: other servers bring it to ours. */
  imap: MailServer | null
  /** Null only while the other is tried. */
  smtp: MailServer | null
}

export const mailTimeouts = { connectMs: 10_000, socketMs: 30_000 } as const

/** @throws NetworkFailure keyExpired when there are none */
export function settingsOf(accessToken: string): MailSettings {
  if (!accessToken) throw new NetworkFailure('keyExpired', 'the mail server’s password is missing')
  return JSON.parse(accessToken) as MailSettings
}

interface MailError {
  message: string
  code?: string
  responseCode?: number
  authenticationFailed?: boolean
  responseText?: string
  /** SMTP command that failed. */
  command?: string
}

/** What an error of a mail server means; RFC 5321: replies of 400 to 499 are for now, those from 500 on for good. */
export function mailFailure(error: unknown): NetworkFailure {
  if (error instanceof NetworkFailure) return error
  const { message, code, responseCode, authenticationFailed, responseText, command } = error as MailError
  const failure = (kind: FailureKind, reached: boolean) =>
    new NetworkFailure(kind, responseText || message, null, { cause: error, reached })
  if (authenticationFailed || code === 'EAUTH') return failure('keyExpired', false)
  if (responseCode !== undefined && responseCode >= 500) return failure('refused', false)
  if (code === 'EENVELOPE' || code === 'EMESSAGE')
    return failure(responseCode ? 'transient' : 'refused', false)
  // Only once the text has gone over may the server have taken it.
  const sent = command === undefined || command === 'DATA' || command === 'CONN'
  return failure('transient', code !== 'ETLS' && code !== 'EDNS' && sent && mayHaveReached(error))
}
