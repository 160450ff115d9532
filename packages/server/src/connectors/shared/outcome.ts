export type FailureKind = 'transient' | 'rateLimited' | 'keyExpired' | 'refused' | 'gone'

/** A request to a network that did not succeed. */
export class NetworkFailure extends Error {
  override readonly name = 'NetworkFailure'
  /** The network may have done what was asked, although it never said so. */
  readonly reached: boolean
  constructor(
    readonly kind: FailureKind,
    message: string,
    /** Milliseconds to wait, when the network says how long. */
    readonly waitMs: number | null = null,
    { reached = kind === 'transient', ...options }: ErrorOptions & { reached?: boolean } = {},
  ) {
    super(message, options)
    this.reached = reached
  }
}

/** Codes of failures before anything was sent. */
const neverSent = new Set([
  'ECONNREFUSED',
  'ENOTFOUND',
  'EAI_AGAIN',
  'UND_ERR_CONNECT_TIMEOUT',
  'EHOSTUNREACH',
  'ENETUNREACH',
])

/** Whether a failed request may have reached the other side. */
export function mayHaveReached(error: unknown): boolean {
  for (let each = error as { code?: string; cause?: unknown } | undefined; each;)
    if (each.code && neverSent.has(each.code)) return false
    else each = each.cause as typeof each
  return true
}

/**
 * Names the case of an answer: 401 is an expired key, 403 and other 4xx a refusal, 404 and 410 gone, 429 rate limited
 * (RFC 6585, with Retry-After of RFC 9110 as seconds or a date), 5xx and 408 transient. Null for success.
 */
export function classify(
  status: number,
  retryAfter: string | null,
  now: number,
): { kind: FailureKind; waitMs: number | null } | null {
  if (status < 400) return null
  if (status === 429 || (status === 503 && retryAfter))
    return { kind: 'rateLimited', waitMs: waitOf(retryAfter, now) }
  if (status === 401) return { kind: 'keyExpired', waitMs: null }
  if (status === 404 || status === 410) return { kind: 'gone', waitMs: null }
  if (status === 408 || status >= 500) return { kind: 'transient', waitMs: null }
  return { kind: 'refused', waitMs: null }
}

/** No network may send us away for longer than a day. */
const longestWaitMs = 86_400_000

function waitOf(retryAfter: string | null, now: number): number {
  if (!retryAfter) return 1000
  if (/^\d+$/.test(retryAfter)) return Math.min(longestWaitMs, Number(retryAfter) * 1000)
  const date = Date.parse(retryAfter)
  return Number.isNaN(date) ? 1000 : Math.min(longestWaitMs, Math.max(0, date - now))
}

/** Exponential backoff with full jitter: up to base * 2^attempt, capped. `random` is 0 to 1. */
export function backoffMs(
  attempt: number,
  random: number,
  { baseMs = 300, capMs = 60_000 }: { baseMs?: number; capMs?: number } = {},
): number {
  return Math.round(Math.min(capMs, baseMs * 2 ** attempt) * (0.5 + 0.5 * random))
}
