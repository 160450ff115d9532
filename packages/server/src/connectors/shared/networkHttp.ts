import { Agent, fetch } from 'undici'
import type { NetworkHttp } from '../contract.ts'
import { checkAddress, guardedLookup, InnerAddressError } from './innerAddress.ts'
import { backoffMs, classify, mayHaveReached, NetworkFailure } from './outcome.ts'
import { parseJson } from './parseJson.ts'
import type { RateBudget } from './rateBudget.ts'

export interface NetworkHttpOptions {
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

/** Bytes of an answer in JSON, and of what a failure says about itself. */
const jsonBytes = 16_000_000
const errorBytes = 64_000

const sleep = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms))

/** Wraps requests to one network: budget, time-out, retry with backoff and jitter, classes of failure, a log line each. */
export function networkHttp(options: NetworkHttpOptions): NetworkHttp {
  const { budget, tries = 2, timeoutMs = 15_000, maxWaitMs = 5_000, guard, log = () => {} } = options
  const allowedHosts = guard?.allowed.map((each) => new URL(`http://${each}`).hostname) ?? []
  const dispatcher = guard ? new Agent({ connect: { lookup: guardedLookup(allowedHosts) } }) : new Agent()

  /** Each step of a redirection is checked like the first address. */
  async function request(
    url: string,
    init: { method: string; headers: Record<string, string>; body?: string },
  ) {
    let target = url
    for (let hops = 0; hops < 5; hops++) {
      if (guard) checkAddress(new URL(target), guard.allowed)
      const response = await fetch(target, {
        ...init,
        dispatcher,
        redirect: 'manual',
        signal: AbortSignal.timeout(timeoutMs),
      })
      const location =
        response.status >= 300 && response.status < 400 && response.status !== 304
          ? response.headers.get('location')
          : null
      if (!location) return response
      target = new URL(location, target).href
    }
    throw new NetworkFailure('refused', 'too many redirections')
  }

  async function attempt(
    url: string,
    init: { method: string; headers: Record<string, string>; body?: string },
  ) {
    const wait = budget.reserve()
    if (wait > maxWaitMs)
      throw new NetworkFailure('rateLimited', 'the budget for this network is used up', wait)
    if (wait > 0) await sleep(wait)
    try {
      const response = await request(url, init)
      const failure = classify(response.status, response.headers.get('retry-after'), Date.now())
      if (!failure) return response
      if (failure.kind === 'rateLimited') budget.pause(failure.waitMs ?? 1000)
      const text = await readLimited(response, errorBytes).catch(() => '')
      throw new NetworkFailure(failure.kind, `${response.status} ${titleOf(text)}`.trim(), failure.waitMs)
    } catch (error) {
      if (error instanceof NetworkFailure) throw error
      const inner = error instanceof InnerAddressError ? error : (error as Error).cause
      if (inner instanceof InnerAddressError) throw inner
      throw new NetworkFailure('transient', `no answer: ${(error as Error).message}`, null, {
        cause: error,
        reached: mayHaveReached(error),
      })
    }
  }

  async function withRetry(
    url: string,
    init: { method: string; headers: Record<string, string>; body?: string },
  ) {
    for (let n = 0; ; n++) {
      try {
        return await attempt(url, init)
      } catch (error) {
        const failure = error instanceof NetworkFailure ? error : null
        const again =
          failure && (failure.kind === 'transient' || failure.kind === 'rateLimited') && n + 1 < tries
        const wait = failure?.waitMs ?? backoffMs(n, Math.random())
        log('request failed', {
          url,
          attempt: n + 1,
          kind: failure?.kind,
          message: (error as Error).message,
          again,
        })
        if (!again || wait > maxWaitMs) throw error
        await sleep(wait)
      }
    }
  }

  return {
    async json<T>(
      url: string,
      {
        method = 'GET',
        body,
        token,
        headers = {},
      }: { method?: string; body?: unknown; token?: string; headers?: Record<string, string> } = {},
    ) {
      const response = await withRetry(url, {
        method,
        headers: {
          accept: 'application/json',
          ...(token ? { authorization: `Bearer ${token}` } : {}),
          ...(body === undefined ? {} : { 'content-type': 'application/json' }),
          ...headers,
        },
        body: body === undefined ? undefined : JSON.stringify(body),
      })
      try {
        return parseJson(await readLimited(response, jsonBytes)) as T
      } catch (error) {
        if (error instanceof TooLargeError)
          throw new NetworkFailure('refused', 'the answer is larger than can be taken', null, {
            cause: error,
            reached: true,
          })
        throw new NetworkFailure('transient', 'the answer broke off or is not JSON', null, { cause: error })
      }
    },
    async post(url, body, headers) {
      const response = await withRetry(url, { method: 'POST', headers, body })
      await response.body?.cancel()
    },
    async text(url, { headers, maxBytes }) {
      const response = await withRetry(url, { method: 'GET', headers })
      const body = response.status === 304 ? '' : await readLimited(response, maxBytes)
      return {
        status: response.status,
        body,
        etag: response.headers.get('etag') ?? undefined,
        modified: response.headers.get('last-modified') ?? undefined,
        type: response.headers.get('content-type') ?? '',
        maxAgeSeconds: maxAgeOf(response.headers.get('cache-control')),
      }
    },
  }
}

/** Seconds an answer says it stays fresh (RFC 9111); undefined when it does not. */
function maxAgeOf(cacheControl: string | null): number | undefined {
  const found = /(?:^|[,\s])max-age=(\d{1,9})/i.exec(cacheControl ?? '')
  return found ? Number(found[1]) : undefined
}

export class TooLargeError extends Error {
  override readonly name = 'TooLargeError'
}

/** Reads a body up to a limit, and stops reading there; the encoding is the document's own affair, so bytes are kept as Latin-1 when it says so. */
async function readLimited(response: Awaited<ReturnType<typeof fetch>>, maxBytes: number): Promise<string> {
  if (Number(response.headers.get('content-length') ?? 0) > maxBytes) throw new TooLargeError('too large')
  const chunks: Uint8Array[] = []
  let size = 0
  for await (const chunk of response.body ?? []) {
    const bytes = chunk as Uint8Array
    size += bytes.length
    if (size > maxBytes) throw new TooLargeError('too large')
    chunks.push(bytes)
  }
  return decodeBody(Buffer.concat(chunks), response.headers.get('content-type') ?? '')
}

/** The text of a document in the encoding that its header, its byte-order mark or its XML declaration names; UTF-8 otherwise. */
export function decodeBody(bytes: Uint8Array, contentType: string): string {
  const head = Buffer.from(bytes.subarray(0, 200)).toString('latin1')
  const named =
    /charset=["']?([\w-]+)/i.exec(contentType)?.[1] ??
    /<\?xml[^>]*encoding=["']([\w-]+)/i.exec(head)?.[1] ??
    'utf-8'
  const marked =
    bytes[0] === 0xef && bytes[1] === 0xbb
      ? 'utf-8'
      : bytes[0] === 0xff && bytes[1] === 0xfe
        ? 'utf-16le'
        : named
  try {
    return new TextDecoder(marked).decode(bytes)
  } catch {
    return new TextDecoder('utf-8').decode(bytes)
  }
}

function titleOf(body: string): string {
  try {
    return String((JSON.parse(body) as { title?: string }).title ?? '')
  } catch {
    return ''
  }
}
