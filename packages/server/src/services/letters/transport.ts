import nodemailer, { type Transporter } from 'nodemailer'
import { NetworkFailure } from '../../connectors/index.ts'
import type { Config } from '../../config.ts'

/** A mail server that does not answer is not waited for any longer. */
const smtpTimeoutMs = 20_000

/** Our own way out for mail. @throws NetworkFailure refused where no mail server is set */
export function smtpTransport({ smtpUrl }: Pick<Config, 'smtpUrl'>): Transporter {
  if (!smtpUrl) throw new NetworkFailure('refused', 'no mail server is set')
  return nodemailer.createTransport({
    url: smtpUrl,
    connectionTimeout: smtpTimeoutMs,
    greetingTimeout: smtpTimeoutMs,
    socketTimeout: smtpTimeoutMs,
    dnsTimeout: smtpTimeoutMs,
  })
}

/** Refused for good: trying again would change nothing. */
export function isRefusedForGood(error: unknown): boolean {
  if (error instanceof NetworkFailure) return error.kind === 'refused' || error.kind === 'gone'
  // RFC 5321: replies of 500 to 599 are permanent.
  const { responseCode } = error as { responseCode?: number }
  return responseCode !== undefined && responseCode >= 500
}
