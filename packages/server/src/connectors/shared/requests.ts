import { Agent, fetch } from 'undici'
import { checkAddress, guardedLookup, InnerAddressError } from './innerAddress.ts'
import { backoffMs, classify, mayHaveReached, NetworkFailure } from './outcome.ts'
import type { RateBudget } from './rateBudget.ts'
import { readLimited, type NetworkResponse } from './readBody.ts'

export interface RequestOptions {
  budget: RateBudget
  /** Tries of one request before the failure is told. */
  tries?: number
  timeoutMs?: number
  /** Longest wait that is sat out here; longer ones are the job's affair. */
  maxWaitMs?: number
  /** Set for addresses that strangers wrote: only public ones, and these. */
  guard?: { allowed: readonly string[] }
  log?: (message: string, detail: Record<string, unknown>) => void
}

interface Init {
  method: string
  headers: Record<string, string>
  body?: string | Uint8Array<ArrayBuffer>
}

export type Send = (url: string, init: Init) => Promise<NetworkResponse>

/** Steps of a redirection that are followed. */
const hopLimit = 5
/** Bytes of what a failure says about itself. */
const errorBytes = 64_000

const sleep = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))

/** Follows redirections; each step is checked like the first address. */
export function followingRedirections({
  timeoutMs = 15_000,
  guard,
}: Pick<RequestOptions, 'timeoutMs' | 'guard'>): Send {
  const allowedHosts = guard?.allowed.map((each) => new URL(`http://${each}`).hostname) ?? []
  const dispatcher = guard ? new Agent({ connect: { lookup: guardedLookup(allowedHosts) } }) : new Agent()
  return async (url, init) => {
    let target = url
    for (let hops = 0; hops < hopLimit; hops++) {
      if (guard) checkAddress(new URL(target), guard.allowed)
      const signal = AbortSignal.timeout(timeoutMs)
      const response = await fetch(target, { ...init, dispatcher, redirect: 'manual', signal })
      const location = redirectionOf(response)
      if (!location) return response
      const next = new URL(location, target)
      // A network is believed about itself alone: neither its key nor our reach goes anywhere else.
      if (!guard && next.origin !== new URL(url).origin)
        throw new NetworkFailure('refused', `the network sends us on to ${next.host}`)
      target = next.href
    }
    throw new NetworkFailure('refused', 'too many redirections')
  }
}

const redirectionOf = ({ status, headers }: NetworkResponse): string | null =>
  status >= 300 && status < 400 && status !== 304 ? headers.get('location') : null

/** Within the budget of the network; what does not succeed has one of the classes of failure. */
export function withinBudget(
  send: Send,
  { budget, maxWaitMs = 5_000 }: Pick<RequestOptions, 'budget' | 'maxWaitMs'>,
): Send {
  return async (url, init) => {
    const wait = budget.reserve()
    if (wait > maxWaitMs)
      throw new NetworkFailure('rateLimited', 'the budget for this network is used up', wait)
    if (wait > 0) await sleep(wait)
    const response = await send(url, init).catch((error: unknown) => {
      throw unanswered(error)
    })
    const failure = classify(response.status, response.headers.get('retry-after'), Date.now())
    if (!failure) return response
    if (failure.kind === 'rateLimited') budget.pause(failure.waitMs ?? 1000)
    const text = await readLimited(response, errorBytes).catch(() => '')
    throw new NetworkFailure(failure.kind, `${response.status} ${titleOf(text)}`.trim(), failure.waitMs)
  }
}

/** What it means that no answer came. */
function unanswered(error: unknown): Error {
  if (error instanceof NetworkFailure) return error
  const inner = error instanceof InnerAddressError ? error : (error as Error).cause
  if (inner instanceof InnerAddressError) return inner
  return new NetworkFailure('transient', `no answer: ${(error as Error).message}`, null, {
    cause: error,
    reached: mayHaveReached(error),
  })
}

/** The title of a problem document (RFC 9457). */
function titleOf(body: string): string {
  try {
    return String((JSON.parse(body) as { title?: string }).title ?? '')
  } catch {
    return ''
  }
}

/** Tries again what may succeed later, with backoff and jitter, or when the network says that it may; a log line each. */
export function withRetry(
  send: Send,
  { tries = 2, maxWaitMs = 5_000, log = () => {} }: Pick<RequestOptions, 'tries' | 'maxWaitMs' | 'log'>,
): Send {
  return async (url, init) => {
    for (let n = 0; ; n++)
      try {
        return await send(url, init)
      } catch (error) {
        const failure = error instanceof NetworkFailure ? error : null
        const passes = failure?.kind === 'transient' || failure?.kind === 'rateLimited'
        const again = passes && n + 1 < tries
        const wait = failure?.waitMs ?? backoffMs(n, Math.random())
        const { message } = error as Error
        log('request failed', { url, attempt: n + 1, kind: failure?.kind, message, again })
        if (!again || wait > maxWaitMs) throw error
        await sleep(wait)
      }
  }
}
